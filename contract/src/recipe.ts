import { recipeShape } from '@icy-ribbon/core/paint/recipe';
import { z } from 'zod';
import { idSchema, recordFields, versionSchema } from './common.ts';

/** A recipe the artist wrote or changed; the schools that ship live in core. */
export const ownRecipeSchema = z.object({ ...recordFields, ...recipeShape });
export const ownRecipeCreateSchema = z.object({ id: idSchema.optional(), ...recipeShape });
export const ownRecipeUpdateSchema = z.object({ version: versionSchema, ...recipeShape });

export type OwnRecipe = z.output<typeof ownRecipeSchema>;
export type OwnRecipeCreate = z.output<typeof ownRecipeCreateSchema>;
export type OwnRecipeUpdate = z.output<typeof ownRecipeUpdateSchema>;
