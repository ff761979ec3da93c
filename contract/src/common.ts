import { idSchema, timestampSchema } from '@icy-ribbon/core/base/field';
import { z } from 'zod';

export {
  hexColorSchema,
  idSchema,
  massMgSchema,
  nameSchema,
  noteSchema,
  timestampSchema,
} from '@icy-ribbon/core/base/field';

/** Far above what anyone edits, far below where counting on would lose a step. */
export const MOST_VERSION = 1_000_000_000;
export const versionSchema = z.int().min(1).max(MOST_VERSION);

/** What every record carries: edits name the version they started from, deleting is soft. */
export const recordFields = {
  id: idSchema,
  version: versionSchema,
  createdAt: timestampSchema,
  updatedAt: timestampSchema,
  deletedAt: timestampSchema.nullable(),
};

export const idParams = z.object({ id: idSchema });
export const pieceIdParams = z.object({ pieceId: idSchema });
export const versionQuery = z.object({ version: z.coerce.number().int().min(1).max(MOST_VERSION) });
export const versionBody = z.object({ version: versionSchema });

export const pageQuery = {
  page: z.coerce.number().int().min(1).max(1_000_000).default(1),
  pageSize: z.coerce.number().int().min(1).max(200).default(50),
};

/** The same for lists that pages hold whole. */
export const longPageQuery = {
  ...pageQuery,
  pageSize: z.coerce.number().int().min(1).max(1000).default(1000),
};

/** One page of a list; `total` counts all that match. */
export function pageOf<Item extends z.ZodType>(item: Item) {
  return z.object({
    items: z.array(item),
    total: z.int().min(0),
    page: z.int().min(1),
    pageSize: z.int().min(1),
  });
}

/** A cup holds at most a ton: what is weighed in adds up, and sums of sums must stay exact. */
export const MOST_CUP_MG = 1_000_000_000;

/** An amount in a record: what was typed or weighed, or what several of these came to. */
export const keptMgSchema = z.int().min(0).max(MOST_CUP_MG, 'More than a ton does not fit a cup.');

/** What a cup holds of an ingredient; water that dried away from its paint counts below 0. */
export const heldMgSchema = z
  .int()
  .min(-MOST_CUP_MG, 'More than a ton does not fit a cup.')
  .max(MOST_CUP_MG, 'More than a ton does not fit a cup.');

/** An amount in an answer: sums have no limit of their own. */
export const sumMgSchema = z.int().min(0);

/** A table with a bound on how many rows it has. */
export function tableOf<Value extends z.ZodType>(value: Value, most: number) {
  return z
    .record(z.string().max(200), value)
    .refine((table) => Object.keys(table).length <= most, `At most ${most} can stand here.`)
    .meta({ maxProperties: most });
}

/** Where a number came from at the scale. */
export const WEIGHING_SOURCES = ['typed', 'scale', 'stand-in'] as const;
export const weighingSourceSchema = z.enum(WEIGHING_SOURCES);
