import { FINISHES, MATERIAL_KINDS, OPACITIES, PIGMENTS, TRUSTS } from '@icy-ribbon/core/paint/material';
import { z } from 'zod';
import {
  hexColorSchema,
  idSchema,
  massMgSchema,
  sumMgSchema,
  nameSchema,
  noteSchema,
  recordFields,
  timestampSchema,
  versionSchema,
} from './common.ts';

const kindSchema = z.enum(
  MATERIAL_KINDS.map((each) => each.kind),
  'Choose the kind of material.',
);

const strengthSchema = z
  .number('Give the tinting strength as a number; 1 is as strong as most.')
  .min(0.05, 'A tinting strength lies between 0.05 and 20; 1 is as strong as most.')
  .max(20, 'A tinting strength lies between 0.05 and 20; 1 is as strong as most.')
  .nullable();

const describing = {
  name: nameSchema,
  kind: kindSchema,
  /** Wet color of the paint; media are near white or clear. */
  colorHex: hexColorSchema,
  /** What it dries to, once seen. */
  dryColorHex: hexColorSchema.nullable(),
  finish: z.enum(FINISHES),
  opacity: z.enum(OPACITIES),
  pigment: z.enum(PIGMENTS.map((each) => each.pigment)).nullable(),
  densityGPerMl: z
    .number('Enter the density in g/ml.')
    .min(0.1, 'Enter a density from 0.1 to 5 g/ml. Most paint has 0.9 to 2, loose powder less.')
    .max(5, 'Enter a density from 0.1 to 5 g/ml. Most paint has 0.9 to 2, loose powder less.'),
  densityTrust: z.enum(TRUSTS),
  viscosityPaS: z
    .number('Give the viscosity in Pa·s.')
    .min(0.0005, 'The viscosity is in Pa·s; water is 0.001.')
    .max(2000, 'The viscosity is in Pa·s; stiff tube paint is about 60.'),
  viscosityTrust: z.enum(TRUSTS),
  /** Found for this very material; `null`: the usual value of its kind. */
  solids: z.number('Give a share.').min(0).max(1, 'A share lies between 0 and 1.').nullable(),
  waterLimit: z.number('Give a share.').min(0).max(1, 'A share lies between 0 and 1.').nullable(),
  /** How strongly it colors a mix beside others; null: as strong as most. */
  tintingStrength: strengthSchema.default(null),
};

const keeping = {
  /** Price of a pack in cents, and what the pack holds. */
  priceCents: z.int('Give the price in whole cents.').min(0).max(10_000_000).nullable(),
  packMg: massMgSchema.min(1, 'A pack holds more than 0 g.').nullable(),
  /** What was there when it was last counted; what is weighed in afterwards comes off. */
  stockMg: massMgSchema.nullable(),
  stockCountedAt: timestampSchema.nullable(),
  openedOn: z.iso.date('A date is written like 2026-03-01.').nullable(),
  /** Whether the artist can buy more of it. */
  canBuy: z.boolean(),
};

export const materialSchema = z.object({ ...recordFields, ...describing, ...keeping, note: noteSchema });

/** On the list: with what its use has told of it. */
export const shelvedMaterialSchema = materialSchema.extend({
  usedMg: sumMgSchema,
  /** How its mixes moved while they dried, from those where both colors were seen. */
  /** Its thickness as readings taught it. */
  learned: z
    .object({
      viscosityPaS: z.number(),
      sdLn: z.number(),
      waterBend: z.object({ mean: z.number(), sd: z.number() }).nullable(),
      readings: z.int().min(1),
    })
    .nullable(),
  dryShift: z.object({ dL: z.number(), dC: z.number(), dh: z.number(), mixes: z.int().min(1) }).nullable(),
});

export const materialCreateSchema = z.object({
  id: idSchema.optional(),
  name: describing.name,
  kind: describing.kind,
  colorHex: describing.colorHex.default('#f4f4f0'),
  dryColorHex: describing.dryColorHex.default(null),
  finish: describing.finish.default('plain'),
  opacity: describing.opacity.default('opaque'),
  pigment: describing.pigment.default(null),
  /** Left out: the typical value of the kind and pigment, marked typical. */
  densityGPerMl: describing.densityGPerMl.optional(),
  viscosityPaS: describing.viscosityPaS.optional(),
  priceCents: keeping.priceCents.default(null),
  packMg: keeping.packMg.default(null),
  stockMg: keeping.stockMg.default(null),
  openedOn: keeping.openedOn.default(null),
  canBuy: keeping.canBuy.default(true),
  solids: describing.solids.default(null),
  waterLimit: describing.waterLimit.default(null),
  tintingStrength: describing.tintingStrength,
  note: noteSchema.default(''),
});

export const materialUpdateSchema = z.object({
  version: versionSchema,
  name: describing.name.optional(),
  colorHex: describing.colorHex.optional(),
  dryColorHex: describing.dryColorHex.optional(),
  finish: describing.finish.optional(),
  opacity: describing.opacity.optional(),
  pigment: describing.pigment.optional(),
  densityGPerMl: describing.densityGPerMl.optional(),
  densityTrust: describing.densityTrust.optional(),
  viscosityPaS: describing.viscosityPaS.optional(),
  viscosityTrust: describing.viscosityTrust.optional(),
  priceCents: keeping.priceCents.optional(),
  packMg: keeping.packMg.optional(),
  /** Counting the stock anew also notes when. */
  stockMg: keeping.stockMg.optional(),
  openedOn: keeping.openedOn.optional(),
  canBuy: keeping.canBuy.optional(),
  solids: describing.solids.optional(),
  waterLimit: describing.waterLimit.optional(),
  tintingStrength: strengthSchema.optional(),
  note: noteSchema.optional(),
});

/** A material's properties as they were when a mix was made from it. */
export const materialSnapshotSchema = z.object({
  materialId: idSchema,
  ...describing,
  /** What readings of other pieces had taught by then: the spread of ln(viscosity), the bend with water. */
  viscositySdLn: z.number().min(0).max(10).nullable().default(null),
  waterBend: z
    .object({ mean: z.number().min(-1000).max(1000), sd: z.number().min(0).max(1000) })
    .nullable()
    .default(null),
});

export type Material = z.output<typeof materialSchema>;
export type ShelvedMaterial = z.output<typeof shelvedMaterialSchema>;
export type MaterialCreate = z.output<typeof materialCreateSchema>;
export type MaterialUpdate = z.output<typeof materialUpdateSchema>;
export type MaterialSnapshot = z.output<typeof materialSnapshotSchema>;

/** Many materials at once, new ones and changes to those on the shelf, all or none. */
export const materialImportSchema = z
  .object({
    materials: z.array(materialCreateSchema).max(20_000),
    changes: z
      .array(materialUpdateSchema.extend({ id: idSchema }))
      .max(20_000)
      .default([]),
  })
  .refine(({ materials, changes }) => materials.length + changes.length > 0, {
    message: 'There is nothing to read in.',
    path: ['materials'],
  });
export const materialImportResultSchema = z.object({
  added: z.int().min(0),
  changed: z.int().min(0).default(0),
});

/** The same change to many materials; each names the version it was shown with. */
export const materialBulkSchema = z.object({
  materials: z
    .array(z.object({ id: idSchema, version: versionSchema }))
    .min(1)
    .max(1000),
  changes: materialUpdateSchema.omit({ version: true }),
});
export const materialBulkResultSchema = z.object({ changed: z.int().min(0) });
