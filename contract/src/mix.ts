import { INGREDIENT_ROLES, SCHOOLS } from '@icy-ribbon/core/mix';
import { CUP_ROLES } from '@icy-ribbon/core/thickness';
import { z } from 'zod';
import {
  idSchema,
  massMgSchema,
  nameSchema,
  recordFields,
  timestampSchema,
  versionSchema,
  weighingSourceSchema,
} from './common.ts';
import { materialSnapshotSchema } from './material.ts';

const totalMgSchema = massMgSchema
  .min(1000, 'A cup holds at least 1 g.')
  .max(5_000_000, 'A cup holds at most 5 kg.');

export const ingredientSchema = z.object({
  id: idSchema,
  role: z.enum(INGREDIENT_ROLES),
  /** Parts by weight in the recipe the cup was planned from. */
  parts: z.number().positive(),
  targetMg: massMgSchema,
  material: materialSnapshotSchema,
});

/** One thing put into the cup at the scale. */
export const additionSchema = z.object({
  id: idSchema,
  ingredientId: idSchema,
  mg: massMgSchema,
  source: weighingSourceSchema,
  at: timestampSchema,
});

export const mixSchema = z.object({
  ...recordFields,
  pieceId: idSchema,
  name: nameSchema,
  role: z.enum(CUP_ROLES),
  schoolId: z.string(),
  position: z.int().min(0),
  ingredients: z.array(ingredientSchema).min(1),
  additions: z.array(additionSchema),
});

export const mixCreateSchema = z.object({
  id: idSchema.optional(),
  role: z.enum(CUP_ROLES),
  schoolId: z.enum(
    SCHOOLS.map((school) => school.id),
    'Choose a recipe.',
  ),
  paintId: idSchema,
  /** Left out: the paint's name. */
  name: nameSchema.optional(),
  totalMg: totalMgSchema,
});

export const mixUpdateSchema = z.object({
  version: versionSchema,
  name: nameSchema.optional(),
  /** Only while nothing has been weighed in. */
  totalMg: totalMgSchema.optional(),
});

export const additionCreateSchema = z.object({
  id: idSchema,
  ingredientId: idSchema,
  mg: massMgSchema.min(1, 'Weigh in more than 0 g.'),
  source: weighingSourceSchema,
});

export const actualUpdateSchema = z.object({
  version: versionSchema,
  mg: massMgSchema,
  source: weighingSourceSchema,
});

export type Mix = z.output<typeof mixSchema>;
export type Ingredient = z.output<typeof ingredientSchema>;
export type Addition = z.output<typeof additionSchema>;
export type MixCreate = z.output<typeof mixCreateSchema>;
export type MixUpdate = z.output<typeof mixUpdateSchema>;
export type AdditionCreate = z.output<typeof additionCreateSchema>;
export type ActualUpdate = z.output<typeof actualUpdateSchema>;
