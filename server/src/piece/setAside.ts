import type { DamagedRecord } from '@icy-ribbon/contract';
import { sql } from 'kysely';
import { timestamp, type Writer } from '../db/record.ts';
import { notFound, unfit } from '../http/problem.ts';
import { findPiece } from './piece.queries.ts';
import { withoutDamaged } from './whole.ts';

/** Table of each record, the column that names it, and what hangs on it. */
const TABLES = {
  mix: { table: 'mix', key: 'id', parts: ['mixIngredient', 'mixAddition', 'mixMovement'] },
  reading: { table: 'reading', key: 'id', parts: [] },
  event: { table: 'pourEvent', key: 'id', parts: [] },
  care: { table: 'careEvent', key: 'id', parts: [] },
  photo: { table: 'photo', key: 'id', parts: [] },
  plan: { table: 'plan', key: 'pieceId', parts: [] },
  judgement: { table: 'judgement', key: 'pieceId', parts: [] },
} as const;

/**
 * Takes a record that cannot be read out of its piece. What it held is kept in a table of its own, so that nothing is
 * lost that somebody could still make sense of.
 *
 * @throws HttpProblem 422 when the record can be read
 */
export async function setAside(
  trx: Writer,
  pieceId: string,
  { what, id }: Pick<DamagedRecord, 'what' | 'id'>,
): Promise<void> {
  const piece = await findPiece(trx, pieceId);
  if (!piece || piece.deletedAt !== null) throw notFound('piece');
  const record = withoutDamaged(piece).damaged?.find((each) => each.what === what && each.id === id);
  if (!record) throw unfit('id', 'This record can be read: strike it out or delete it where it is shown.');
  const { table, key, parts } = TABLES[what];
  const rows = async (name: string, column: string) =>
    (await sql`SELECT * FROM ${sql.table(name)} WHERE ${sql.ref(column)} = ${id}`.execute(trx)).rows;
  const content = {
    record: await rows(table, key),
    parts: Object.fromEntries(
      await Promise.all(parts.map(async (part) => [part, await rows(part, 'cupId')] as const)),
    ) as unknown,
  };
  await trx
    .insertInto('setAside')
    .values({ at: timestamp(), what, id, reason: record.reason, content: JSON.stringify(content) })
    .execute();
  await sql`DELETE FROM ${sql.table(table)} WHERE ${sql.ref(key)} = ${id}`.execute(trx);
}
