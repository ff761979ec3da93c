import { FINISHES, MATERIAL_KINDS, OPACITIES, PIGMENTS, TRUSTS } from '@icy-ribbon/core/material';
import { z } from 'zod';
import { hexColorSchema, idSchema, nameSchema, noteSchema, recordFields, versionSchema } from './common.ts';

const kindSchema = z.enum(
  MATERIAL_KINDS.map((each) => each.kind),
  'Choose the kind of material.',
);

const describing = {
  name: nameSchema,
  kind: kindSchema,
  /** Wet color of the paint; media are near white or clear. */
  colorHex: hexColorSchema,
  finish: z.enum(FINISHES),
  opacity: z.enum(OPACITIES),
  pigment: z.enum(PIGMENTS.map((each) => each.pigment)).nullable(),
  densityGPerMl: z
    .number('Give the density in g/ml.')
    .min(0.5, 'The density is in g/ml; paint lies between 0.9 and 2.')
    .max(5, 'The density is in g/ml; paint lies between 0.9 and 2.'),
  densityTrust: z.enum(TRUSTS),
  viscosityPaS: z
    .number('Give the viscosity in Pa·s.')
    .min(0.0005, 'The viscosity is in Pa·s; water is 0.001.')
    .max(2000, 'The viscosity is in Pa·s; stiff tube paint is about 60.'),
  viscosityTrust: z.enum(TRUSTS),
};

export const materialSchema = z.object({ ...recordFields, ...describing, note: noteSchema });

export const materialCreateSchema = z.object({
  id: idSchema.optional(),
  name: describing.name,
  kind: describing.kind,
  colorHex: describing.colorHex.default('#f4f4f0'),
  finish: describing.finish.default('plain'),
  opacity: describing.opacity.default('opaque'),
  pigment: describing.pigment.default(null),
  /** Left out: the typical value of the kind and pigment, marked typical. */
  densityGPerMl: describing.densityGPerMl.optional(),
  viscosityPaS: describing.viscosityPaS.optional(),
  note: noteSchema.default(''),
});

export const materialUpdateSchema = z.object({
  version: versionSchema,
  name: describing.name.optional(),
  colorHex: describing.colorHex.optional(),
  finish: describing.finish.optional(),
  opacity: describing.opacity.optional(),
  pigment: describing.pigment.optional(),
  densityGPerMl: describing.densityGPerMl.optional(),
  densityTrust: describing.densityTrust.optional(),
  viscosityPaS: describing.viscosityPaS.optional(),
  viscosityTrust: describing.viscosityTrust.optional(),
  note: noteSchema.optional(),
});

/** A material's properties as they were when a mix was made from it. */
export const materialSnapshotSchema = z.object({ materialId: idSchema, ...describing });

export type Material = z.output<typeof materialSchema>;
export type MaterialCreate = z.output<typeof materialCreateSchema>;
export type MaterialUpdate = z.output<typeof materialUpdateSchema>;
export type MaterialSnapshot = z.output<typeof materialSnapshotSchema>;
