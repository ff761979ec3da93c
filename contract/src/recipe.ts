import { MATERIAL_KINDS } from '@icy-ribbon/core/paint/material';
import { PART_UNITS } from '@icy-ribbon/core/paint/recipe';
import { CUP_ROLES, STAGES, TECHNIQUES } from '@icy-ribbon/core/paint/stage';
import { z } from 'zod';
import { idSchema, nameSchema, noteSchema, recordFields, versionSchema } from './common.ts';
import { blendSchema, recipeIdSchema } from './mix.ts';

const kindSchema = z.enum(MATERIAL_KINDS.map((each) => each.kind));

const partSourceSchema = z.discriminatedUnion('kind', [
  z.object({ kind: z.literal('paint') }),
  z.object({ kind: z.literal('white') }),
  z.object({ kind: z.literal('material'), material: kindSchema }),
  z.object({ kind: z.literal('recipe'), recipe: recipeIdSchema }),
]);

const recipePartSchema = z.object({
  of: partSourceSchema,
  amount: z.number('Give the amount as a number.').min(0, 'An amount must be 0 or more.').max(100_000),
  unit: z.enum(PART_UNITS),
});

const describing = {
  name: nameSchema,
  parts: z.array(recipePartSchema).min(1, 'A recipe needs at least one part.').max(20),
  techniques: z.array(z.enum(TECHNIQUES)).min(1, 'Choose a technique.').max(TECHNIQUES.length),
  cupRoles: z.array(z.enum(CUP_ROLES)).max(CUP_ROLES.length),
  goodFor: noteSchema,
  trouble: noteSchema,
  thinning: z.object({ with: kindSchema, to: z.enum(STAGES.map((stage) => stage.name)) }).nullable(),
  restHours: z.number().min(0).max(1000).nullable(),
  /** Limits: the water the finished mix may hold, and paints it is not to be made from. */
  waterLimit: z
    .number('Give a share.')
    .min(0, 'A share lies between 0 and 1.')
    .max(1, 'A share lies between 0 and 1.')
    .nullable()
    .default(null),
  /** Of an activator: times the usual dose. */
  doseFactor: z
    .number('Give a factor.')
    .positive('A factor is above 0.')
    .max(10, 'At most ten times the usual dose.')
    .nullable()
    .default(null),
  never: z
    .object({
      kinds: z.array(kindSchema).min(1).max(MATERIAL_KINDS.length),
      because: z.string('Say why.').trim().min(1, 'Say why not.').max(400),
    })
    .nullable()
    .default(null),
  /** A saved color: the paints its cup is stirred together of, by parts. */
  blend: blendSchema.nullable().default(null),
};

/** A recipe the artist wrote or changed; the schools that ship live in core. */
export const ownRecipeSchema = z.object({ ...recordFields, ...describing });
export const ownRecipeCreateSchema = z.object({ id: idSchema.optional(), ...describing });
export const ownRecipeUpdateSchema = z.object({ version: versionSchema, ...describing });

export type OwnRecipe = z.output<typeof ownRecipeSchema>;
export type OwnRecipeCreate = z.output<typeof ownRecipeCreateSchema>;
export type OwnRecipeUpdate = z.output<typeof ownRecipeUpdateSchema>;
