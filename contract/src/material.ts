import { materialShape, packShape } from '@icy-ribbon/core/paint/material';
import { z } from 'zod';
import { idSchema, sumMgSchema, noteSchema, recordFields, versionSchema } from './common.ts';

export const materialSchema = z.object({ ...recordFields, ...materialShape, ...packShape, note: noteSchema });

/** On the list: with what its use has told of it. */
export const shelvedMaterialSchema = materialSchema.extend({
  usedMg: sumMgSchema,
  /** Its thickness as readings taught it. */
  learned: z
    .object({
      viscosityPaS: z.number(),
      sdLn: z.number(),
      waterBend: z.object({ mean: z.number(), sd: z.number() }).nullable(),
      readings: z.int().min(1),
    })
    .nullable(),
  /** How its mixes moved while they dried, from those where both colors were seen. */
  dryShift: z.object({ dL: z.number(), dC: z.number(), dh: z.number(), mixes: z.int().min(1) }).nullable(),
});

const shape = z.object({ ...materialShape, ...packShape, note: noteSchema }).omit({ stockCountedAt: true });

export const materialCreateSchema = shape.omit({ densityTrust: true, viscosityTrust: true }).extend({
  id: idSchema.optional(),
  colorHex: materialShape.colorHex.default('#f4f4f0'),
  dryColorHex: materialShape.dryColorHex.default(null),
  finish: materialShape.finish.default('plain'),
  opacity: materialShape.opacity.default('opaque'),
  pigment: materialShape.pigment.default(null),
  /** Left out: the typical value of the kind and pigment, marked typical. */
  densityGPerMl: materialShape.densityGPerMl.optional(),
  viscosityPaS: materialShape.viscosityPaS.optional(),
  solids: materialShape.solids.default(null),
  waterLimit: materialShape.waterLimit.default(null),
  priceCents: packShape.priceCents.default(null),
  packMg: packShape.packMg.default(null),
  stockMg: packShape.stockMg.default(null),
  openedOn: packShape.openedOn.default(null),
  canBuy: packShape.canBuy.default(true),
  note: noteSchema.default(''),
});

/** What is left out stays; counting the stock anew also notes when. Its kind stays for good. */
export const materialUpdateSchema = shape
  .omit({ kind: true })
  .extend({ tintingStrength: materialShape.tintingStrength.unwrap() })
  .partial()
  .extend({ version: versionSchema });

/** A material's properties as they were when a mix was made from it. */
export const materialSnapshotSchema = z.object({
  materialId: idSchema,
  ...materialShape,
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
