import { randomUUID } from 'node:crypto';
import {
  archiveSchema,
  calibrationCreateSchema,
  careEventSchema,
  drillRunCreateSchema,
  equipmentCreateSchema,
  equipmentUpdateSchema,
  judgementPutSchema,
  judgementSchema,
  materialCreateSchema,
  materialSnapshotSchema,
  materialUpdateSchema,
  ownRecipeCreateSchema,
  ownRecipeUpdateSchema,
  piecePlanPutSchema,
  piecePlanSchema,
  pieceSchema,
  pouredPlanSchema,
  pourEventSchema,
  readingSchema,
  readingsCreateSchema,
  savedViewCreateSchema,
  supportCreateSchema,
  supportSnapshotSchema,
  supportUpdateSchema,
  type JsonSchema,
} from '@icy-ribbon/contract';
import { MATERIAL_KINDS, PIGMENTS, pigmentDensity } from '@icy-ribbon/core/paint/material';
import fc from 'fast-check';
import { z } from 'zod';
import { arbitraryOf } from './arbitrary.ts';

/** Every value that one door accepts, every other door that sees the same thing accepts. */

const AT = '2026-03-01T09:30:00Z';
const RECORD = { version: 1, createdAt: AT, updatedAt: AT, deletedAt: null };
const ID = '3f0e8a52-1f5b-4b61-9d2c-6f8d1f3f9a10';
const { shape: archive } = archiveSchema;
const { shape: piece } = pieceSchema;

interface Doors {
  readonly name: string;
  readonly into: z.ZodType;
  /** What is kept besides what was typed. */
  readonly kept: object;
  readonly others: readonly z.ZodType[];
}

const DOORS: readonly Doors[] = [
  {
    name: 'a material',
    into: materialCreateSchema,
    kept: {
      ...RECORD,
      ...{ densityGPerMl: 1, densityTrust: 'typical', viscosityPaS: 1, viscosityTrust: 'typical' },
      ...{ stockCountedAt: null, materialId: ID },
    },
    others: [archive.materials.element, materialUpdateSchema, materialSnapshotSchema],
  },
  {
    name: 'a support',
    into: supportCreateSchema,
    kept: { ...RECORD, supportId: ID },
    others: [archive.supports.element, supportUpdateSchema, supportSnapshotSchema],
  },
  {
    name: 'a piece of equipment',
    into: equipmentCreateSchema,
    kept: RECORD,
    others: [archive.equipment.element, equipmentUpdateSchema],
  },
  {
    name: 'a recipe',
    into: ownRecipeCreateSchema,
    kept: RECORD,
    others: [archive.recipes.element, ownRecipeUpdateSchema],
  },
  {
    name: 'a calibration',
    into: calibrationCreateSchema,
    kept: RECORD,
    others: [archive.calibrations.element],
  },
  { name: 'a drill', into: drillRunCreateSchema, kept: RECORD, others: [archive.drills.unwrap().element] },
  { name: 'a view', into: savedViewCreateSchema, kept: RECORD, others: [archive.views.element] },
  { name: 'an event', into: pourEventSchema, kept: {}, others: [piece.events.element] },
  { name: 'care', into: careEventSchema, kept: {}, others: [piece.care.unwrap().element] },
  {
    name: 'a judgment',
    into: judgementPutSchema.omit({ version: true }),
    kept: RECORD,
    others: [judgementSchema, piece.judgement],
  },
  {
    name: 'a plan',
    into: piecePlanPutSchema.omit({ version: true }),
    kept: RECORD,
    others: [piecePlanSchema, pouredPlanSchema, piece.plan],
  },
  {
    name: 'a reading',
    into: readingsCreateSchema.shape.readings.element,
    kept: { at: AT, contents: [], struck: false },
    others: [readingSchema, piece.readings.unwrap().element],
  },
];

/** The same value with true ids where the made-up ones only mark a place. */
const withIds = (value: unknown): unknown =>
  JSON.parse(JSON.stringify(value).replaceAll(/"@[a-z]+@\d+@"/g, () => `"${randomUUID()}"`)) as unknown;

describe.each(DOORS)('$name', ({ into, kept, others }) => {
  it('that is taken can be kept, taken along and changed', () => {
    const written = z.toJSONSchema(into, { io: 'input', unrepresentable: 'any' }) as JsonSchema;
    let taken = 0;
    fc.assert(
      fc.property(arbitraryOf(written), (given) => {
        const { data } = into.safeParse(withIds(given));
        if (data === undefined) return;
        taken += 1;
        const record = { id: ID, ...kept, ...(data as object) };
        for (const other of others) expect(other.safeParse(record).error?.issues).toBeUndefined();
      }),
      { numRuns: 300 },
    );
    expect(taken).toBeGreaterThan(10);
  });
});

it('every kind of material with its usual values, and every pigment, passes every door', () => {
  for (const { kind, densityGPerMl, viscosityPaS } of MATERIAL_KINDS) {
    for (const pigment of [null, ...PIGMENTS.map((each) => each.pigment)]) {
      const density = pigmentDensity(pigment) ?? densityGPerMl;
      const usual = { name: kind, kind, pigment, densityGPerMl: density, viscosityPaS };
      const data = materialCreateSchema.parse(usual);
      const record = { ...DOORS[0]!.kept, ...data, id: ID };
      for (const other of DOORS[0]!.others) expect(other.safeParse(record).error?.issues).toBeUndefined();
    }
  }
});
