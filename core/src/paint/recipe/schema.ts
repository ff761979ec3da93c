import { z } from 'zod';
import { nameSchema, noteSchema } from '../../base/field/index.ts';
import { MATERIAL_KINDS, materialKindSchema } from '../material/index.ts';
import { CUP_ROLES, STAGES, TECHNIQUES } from '../stage/index.ts';
import { PART_UNITS } from './recipe.ts';

/** A school's id, or that of a recipe of one's own. */
export const recipeIdSchema = z.string('Choose a recipe.').min(1, 'Choose a recipe.').max(80);

/** A cup's color stirred together of several paints, by weight, the strongest first. */
export const blendSchema = z
  .array(
    z.object({
      materialId: z.uuid('Choose a paint.'),
      parts: z.number('Enter parts.').positive('Parts are above 0.').max(1000, 'At most 1,000 parts.'),
    }),
  )
  .min(2, 'Choose at least two paints.')
  .max(5, 'A cup takes at most five paints.')
  .refine(
    (parts) => new Set(parts.map(({ materialId }) => materialId)).size === parts.length,
    'Choose each paint only once.',
  );

const partSchema = z.object({
  of: z.discriminatedUnion('kind', [
    z.object({ kind: z.literal('paint') }),
    z.object({ kind: z.literal('white') }),
    z.object({ kind: z.literal('material'), material: materialKindSchema }),
    z.object({ kind: z.literal('recipe'), recipe: recipeIdSchema }),
  ]),
  amount: z
    .number('Enter the amount as a number.')
    .min(0, 'An amount must be 0 or more.')
    .max(100_000, 'An amount is at most 100,000.'),
  unit: z.enum(PART_UNITS),
});

/** What of a recipe goes with a cup that is made by it; null: nothing of the kind. */
export const recipeRuleShape = {
  /** What is stirred in afterwards, a little at a time, until the cup has this thickness. */
  thinning: z.object({ with: materialKindSchema, to: z.enum(STAGES.map((stage) => stage.name)) }).nullable(),
  /** Hours in a lidded cup before the pour. */
  restHours: z.number().min(0).max(1000).nullable(),
  /** Added water the finished mix may hold, as a mass fraction. */
  waterLimit: z
    .number('Enter the most water as a percentage.')
    .min(0, 'Enter the most water from 0 to 100 %.')
    .max(1, 'Enter the most water from 0 to 100 %.')
    .nullable()
    .default(null),
  /** Of an activator: times the usual dose. */
  doseFactor: z
    .number('Enter a factor.')
    .positive('A factor is above 0.')
    .max(10, 'At most ten times the usual dose.')
    .nullable()
    .default(null),
  /** Of which paints its color is stirred together; null: one paint, or none. */
  blend: blendSchema.nullable().default(null),
};

/** A recipe as an artist writes it. */
export const recipeShape = {
  name: nameSchema,
  parts: z.array(partSchema).min(1, 'A recipe needs at least one part.').max(20, 'At most 20 parts.'),
  techniques: z.array(z.enum(TECHNIQUES)).min(1, 'Choose a technique.').max(TECHNIQUES.length),
  cupRoles: z.array(z.enum(CUP_ROLES)).max(CUP_ROLES.length),
  goodFor: noteSchema,
  trouble: noteSchema,
  ...recipeRuleShape,
  /** Kinds of paint it must not be made from, and why. */
  never: z
    .object({
      kinds: z.array(materialKindSchema).min(1).max(MATERIAL_KINDS.length),
      because: z
        .string('Say why not.')
        .trim()
        .min(1, 'Say why not.')
        .max(400, 'Keep the reason below 400 characters.'),
    })
    .nullable()
    .default(null),
};
