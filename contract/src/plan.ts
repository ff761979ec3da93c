import { planSchema } from '@icy-ribbon/core/piece/plan';
import { blendSchema, recipeIdSchema } from '@icy-ribbon/core/paint/recipe';
import { CUP_ROLES } from '@icy-ribbon/core/paint/stage';
import { z } from 'zod';
import { idSchema, MOST_VERSION, nameSchema, timestampSchema, versionSchema } from './common.ts';
import { variantSchema } from './mix.ts';

/** A cup the plan pours that is not mixed yet; once it is, the cup carries the same id. */
const plannedCupSchema = z.object({
  id: idSchema,
  name: nameSchema,
  role: z.enum(CUP_ROLES),
  recipeId: recipeIdSchema,
  variant: variantSchema.nullable(),
  materialId: idSchema.nullable(),
  blend: blendSchema.nullable().default(null),
});

const body = {
  ...planSchema.shape,
  planned: z.array(plannedCupSchema).max(40, 'At most 40 cups can be planned.'),
  /** Findings of the check that were seen to at the table. */
  ticked: z.array(z.string().max(200)).max(500),
};

/** A plan as a pour began with it. */
export const pouredPlanSchema = z.object(body);

/** How a piece shall be poured; layers name cups, or cups that are planned, by id. */
export const piecePlanSchema = z.object({
  ...body,
  version: versionSchema,
  createdAt: timestampSchema,
  updatedAt: timestampSchema,
});

export const piecePlanPutSchema = z.object({
  ...body,
  /** 0 for the first plan of a piece, else the version that was edited. */
  version: z.int().min(0).max(MOST_VERSION),
});

export type PlannedCup = z.output<typeof plannedCupSchema>;
export type PiecePlan = z.output<typeof piecePlanSchema>;
export type PiecePlanPut = z.output<typeof piecePlanPutSchema>;
