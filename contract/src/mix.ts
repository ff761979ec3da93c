import { INGREDIENT_ROLES } from '@icy-ribbon/core/paint/material';
import { MOVEMENT_KINDS } from '@icy-ribbon/core/paint/mix';
import { blendSchema, recipeIdSchema, recipeRuleShape } from '@icy-ribbon/core/paint/recipe';
import { CUP_ROLES } from '@icy-ribbon/core/paint/stage';
import { z } from 'zod';
import {
  hexColorSchema,
  idSchema,
  keptMgSchema,
  massMgSchema,
  nameSchema,
  recordFields,
  timestampSchema,
  versionSchema,
  WEIGHING_SOURCES,
  weighingSourceSchema,
} from './common.ts';
import { materialSnapshotSchema } from './material.ts';
import { MOST } from './plain/most.ts';

const totalMgSchema = massMgSchema
  .min(1000, 'A cup holds at least 1 g.')
  .max(5_000_000, 'A cup holds at most 5 kg.');

const ingredientSchema = z.object({
  id: idSchema,
  role: z.enum(INGREDIENT_ROLES),
  /** Its share of the mass in the recipe the cup was planned from; 0 for what is only stirred in to thin. */
  share: z.number().min(0).max(1),
  targetMg: keptMgSchema,
  material: materialSnapshotSchema,
});

/**
 * Counts what came into a cup and what left it, in the order it happened, whatever the clock said then; 0 where only
 * the time is known.
 */
const placeInCupSchema = z.int().min(0).max(1_000_000).default(0);

/** One thing put into the cup at the scale. */
const additionSchema = z.object({
  id: idSchema,
  ingredientId: idSchema,
  mg: keptMgSchema,
  source: z.enum([...WEIGHING_SOURCES, 'poured']),
  at: timestampSchema,
  /** Shared by all that one draw from another cup brought along. */
  drawId: idSchema.nullable().default(null),
  place: placeInCupSchema,
});

/** What left the cup other than onto a support. */
const movementSchema = z.object({
  id: idSchema,
  kind: z.enum(MOVEMENT_KINDS),
  mg: keptMgSchema,
  at: timestampSchema,
  place: placeInCupSchema,
});

export const variantSchema = z.string().max(80);

/** The recipe as it was when the cup was planned. */
const recipeSnapshotSchema = z.object({
  id: recipeIdSchema,
  name: nameSchema,
  variant: variantSchema.nullable(),
  ...recipeRuleShape,
});

export const mixSchema = z.object({
  ...recordFields,
  pieceId: idSchema,
  name: nameSchema,
  role: z.enum(CUP_ROLES),
  recipe: recipeSnapshotSchema,
  position: z.int().min(0).max(1_000_000),
  ingredients: z
    .array(ingredientSchema)
    .min(1)
    .max(MOST.ingredientsOfCup, `A cup takes at most ${MOST.ingredientsOfCup} ingredients.`),
  additions: z
    .array(additionSchema)
    .max(MOST.additionsOfCup, `At most ${MOST.additionsOfCup} weighings fit into the record of one cup.`),
  movements: z
    .array(movementSchema)
    .max(MOST.movementsOfCup, `At most ${MOST.movementsOfCup} movements fit into the record of one cup.`),
  lid: z.boolean(),
  /** What it dried to, once seen. */
  dryColorHex: hexColorSchema.nullable(),
});

export const mixCreateSchema = z.object({
  id: idSchema.optional(),
  role: z.enum(CUP_ROLES),
  recipeId: recipeIdSchema,
  /** Left out: the variant for metallics where the paint calls for it, else the recipe's own parts. */
  variant: variantSchema.nullable().optional(),
  /** Left out for a medium that holds no paint. */
  materialId: idSchema.optional(),
  /** Instead of one paint: several. */
  blend: blendSchema.nullable().optional(),
  /** Left out: the paint's name, or the recipe's. */
  name: nameSchema.optional(),
  totalMg: totalMgSchema,
});

export const mixUpdateSchema = z.object({
  version: versionSchema,
  name: nameSchema.optional(),
  /** Only while nothing has been weighed in. */
  totalMg: totalMgSchema.optional(),
  lid: z.boolean().optional(),
  dryColorHex: hexColorSchema.nullable().optional(),
});

/** New targets after an over-pour; none may lie below what is in the cup. */
export const retargetSchema = z.object({
  version: versionSchema,
  targets: z
    .array(z.object({ ingredientId: idSchema, targetMg: keptMgSchema }))
    .min(1)
    .max(MOST.ingredientsOfCup),
});

export const movementCreateSchema = z.object({
  id: idSchema,
  kind: z.enum(['taken-out', 'loss', 'thrown']),
  mg: keptMgSchema.min(1, 'Say how much, above 0 g.'),
});

/** Pours what is left of other cups, of this piece or of others, into a new one. */
export const combineSchema = z.object({
  id: idSchema,
  name: nameSchema,
  cupIds: z.array(idSchema).min(1, 'Choose a cup.').max(10),
});

export const additionCreateSchema = z.object({
  id: idSchema,
  ingredientId: idSchema,
  mg: massMgSchema.min(1, 'Weigh in more than 0 g.'),
  source: weighingSourceSchema,
  /** When it was weighed; left out: now. A weighing may have waited for the server. */
  at: timestampSchema.optional(),
});

/** Pours some of a mixed cup, a medium made for several, into this one. */
export const drawCreateSchema = z.object({
  id: idSchema,
  fromCupId: idSchema,
  mg: massMgSchema.min(1, 'Pour more than 0 g.'),
});

/** Makes room in a cup for something its recipe does not have: varnish to thin it, say. */
export const ingredientCreateSchema = z.object({ id: idSchema, materialId: idSchema });

export const actualUpdateSchema = z.object({
  version: versionSchema,
  mg: massMgSchema,
  source: weighingSourceSchema,
});

export type Mix = z.output<typeof mixSchema>;
export type Movement = z.output<typeof movementSchema>;
export type MovementCreate = z.output<typeof movementCreateSchema>;
export type RecipeSnapshot = z.output<typeof recipeSnapshotSchema>;
export type Blend = z.output<typeof blendSchema>;
export type Retarget = z.output<typeof retargetSchema>;
export type IngredientCreate = z.output<typeof ingredientCreateSchema>;
export type DrawCreate = z.output<typeof drawCreateSchema>;
export type Combine = z.output<typeof combineSchema>;
export type Ingredient = z.output<typeof ingredientSchema>;
export type Addition = z.output<typeof additionSchema>;
export type MixCreate = z.output<typeof mixCreateSchema>;
export type MixUpdate = z.output<typeof mixUpdateSchema>;
export type AdditionCreate = z.output<typeof additionCreateSchema>;
export type ActualUpdate = z.output<typeof actualUpdateSchema>;
