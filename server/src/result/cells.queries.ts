import type { Reader } from '../db/record.ts';

/** The measured cells of all pours, the newest first, as the JSON text of a list; writes keep them up to date. */
export async function listCells(db: Reader): Promise<string> {
  const rows = await db
    .selectFrom('pourFacts')
    .innerJoin('piece', 'piece.id', 'pourFacts.pieceId')
    .where('piece.deletedAt', 'is', null)
    .where('pourFacts.cells', 'is not', null)
    .select(['pieceId', 'standIn', 'cells'])
    .orderBy('pouredAt', 'desc')
    .orderBy('pieceId')
    .execute();
  // They were checked when they were worked out.
  return `[${rows.map(({ pieceId, standIn, cells }) => `${JSON.stringify({ pieceId, standIn: standIn === 1 }).slice(0, -1)},${cells!.slice(1)}`).join(',')}]`;
}
