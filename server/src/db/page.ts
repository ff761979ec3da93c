import type { z } from 'zod';
import { readable } from './readable.ts';
import type { Db } from './open.ts';

export interface Page {
  readonly page: number;
  readonly pageSize: number;
}

/** Which rows a page holds, for `limit` and `offset`. */
export const rowsOf = ({ page, pageSize }: Page): { readonly limit: number; readonly offset: number } => ({
  limit: pageSize,
  offset: (page - 1) * pageSize,
});
/** Every row there is. */
export const ALL: Page = { page: 1, pageSize: 1_000_000 };

/**
 * One page of the records of a table that are not deleted; rows that cannot be read are left out.
 *
 * @param list gives the rows of a page in their order
 */
export async function pageOfRecords<Record>(
  db: Db,
  table: 'equipment' | 'recipe' | 'calibration' | 'drillRun' | 'savedView',
  schema: z.ZodType<Record>,
  page: Page,
  list: (db: Db, page: Page) => Promise<Record[]>,
): Promise<{ items: Record[]; total: number } & Page> {
  const { total } = await db
    .selectFrom(table)
    .where('deletedAt', 'is', null)
    .select(({ fn }) => fn.countAll<number>().as('total'))
    .executeTakeFirstOrThrow();
  return { items: readable(schema, await list(db, page)), total, ...page };
}
