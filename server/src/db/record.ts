import type { Insertable, Transaction } from 'kysely';
import { notFound, stale } from '../http/problem.ts';
import type { Db } from './open.ts';
import type { Database, RecordColumns } from './schema.ts';

/** Reading works on the database and inside a transaction alike. */
export type Reader = Db | Transaction<Database>;
export type Writer = Transaction<Database>;

export type RecordTable =
  | 'equipment'
  | 'material'
  | 'recipe'
  | 'support'
  | 'piece'
  | 'mix'
  | 'calibration'
  | 'drillRun'
  | 'savedView';

/** The time now, in the form every record carries. */
export const timestamp = (): string => new Date().toISOString();

/** When something was done that may have waited in a browser; never later than now, whatever that browser's clock says. */
export function doneAt(at: string | undefined): string {
  const now = timestamp();
  return at === undefined || at > now ? now : at;
}

export function newRecord(id: string, at: string): RecordColumns {
  return { id, version: 1, createdAt: at, updatedAt: at, deletedAt: null };
}

/**
 * Changes one versioned record, or refuses when it has moved on since `version` was read.
 *
 * SQL: UPDATE table SET ..., version = version + 1, updatedAt = ? WHERE id = ? AND version = ?
 *
 * @param readCurrent gives the record as the API shows it, for the 409 answer
 * @throws HttpProblem 404 when it is not there, 409 with the current record when the version is stale
 */
export async function updateVersioned(
  trx: Writer,
  table: RecordTable,
  key: { readonly id: string; readonly version: number },
  changes: Record<string, unknown>,
  readCurrent: () => Promise<unknown>,
): Promise<void> {
  const result = await trx
    .updateTable(table)
    .set({ ...changes, version: key.version + 1, updatedAt: timestamp() } as never)
    .where('id', '=', key.id)
    .where('version', '=', key.version)
    .executeTakeFirst();
  if (result.numUpdatedRows > 0n) return;
  const current = await readCurrent();
  if (current === undefined) throw notFound(table);
  throw stale(current);
}

const ROWS_AT_ONCE = 500;

/** Writes rows, however many; none is as good as some. */
export async function insertRows<Table extends keyof Database>(
  trx: Writer,
  table: Table,
  rows: readonly Insertable<Database[Table]>[],
): Promise<void> {
  for (let from = 0; from < rows.length; from += ROWS_AT_ONCE) {
    const some = rows.slice(from, from + ROWS_AT_ONCE);
    await trx
      .insertInto<Table>(table)
      .values(some as never)
      .execute();
  }
}

/** Columns without those that were left out of an update. */
export function withoutUndefined<Changes extends object>(changes: Changes): Partial<Changes> {
  return Object.fromEntries(
    Object.entries(changes).filter(([, value]) => value !== undefined),
  ) as Partial<Changes>;
}

/** @throws HttpProblem 404 when there is nothing. */
export function found<Value>(value: Value | undefined, what: string): Value {
  if (value === undefined) throw notFound(what);
  return value;
}
