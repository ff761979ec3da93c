import type { Piece, PourNumbers } from '@icy-ribbon/contract';
import type { AirTool } from '@icy-ribbon/core/air';
import { pourRecordOf, quantitiesOf } from '@icy-ribbon/core/compare';
import { stageOf } from '@icy-ribbon/core/thickness';
import type { Db } from '../db/open.ts';
import type { Reader, Writer } from '../db/record.ts';

const BATCH = 200;

/**
 * Works out the numbers of every pour whose row is missing. Triggers take a row away when anything of its piece
 * changes, so what stands here is never out of date.
 *
 * @param read gives whole pieces by their ids
 */
export async function refreshFacts(
  db: Db,
  read: (db: Reader, ids: readonly string[]) => Promise<Piece[]>,
): Promise<void> {
  for (;;) {
    const missing = await db
      .selectFrom('piece')
      .leftJoin('pourFacts', 'pourFacts.pieceId', 'piece.id')
      .where('pourFacts.pieceId', 'is', null)
      .where('piece.deletedAt', 'is', null)
      .select('piece.id')
      .limit(BATCH)
      .execute();
    if (missing.length === 0) return;
    const pieces = await read(
      db,
      missing.map(({ id }) => id),
    );
    await db.transaction().execute((trx) => insertFacts(trx, pieces));
  }
}

async function insertFacts(trx: Writer, pieces: readonly Piece[]): Promise<void> {
  for (const piece of pieces) {
    const record = pourRecordOf(piece);
    const numbers = quantitiesOf(record);
    const { colorPaS } = numbers;
    await trx
      .insertInto('pourFacts')
      .values({
        pieceId: piece.id,
        pouredAt: record.pouredAt,
        tool: mainTool(record.passes),
        tools: JSON.stringify([...new Set(record.passes.map((pass) => pass.tool))]),
        stage: typeof colorPaS === 'number' ? stageOf(colorPaS).name : null,
        rating: record.rating,
        photoId: piece.photos.at(-1)?.id ?? null,
        numbers: JSON.stringify(numbers),
      })
      .onConflict((conflict) => conflict.column('pieceId').doNothing())
      .execute();
  }
}

/** The tool that blew longest. */
function mainTool(passes: readonly { tool: AirTool; seconds: number }[]): AirTool | null {
  const seconds = new Map<AirTool, number>();
  for (const pass of passes) seconds.set(pass.tool, (seconds.get(pass.tool) ?? 0) + pass.seconds);
  return [...seconds].sort((a, b) => b[1] - a[1])[0]?.[0] ?? null;
}

/** The numbers of all pours, the newest first; `refreshFacts` comes before. */
export async function listNumbers(db: Reader, technique: string | undefined): Promise<PourNumbers[]> {
  let wanted = db
    .selectFrom('pourFacts')
    .innerJoin('piece', 'piece.id', 'pourFacts.pieceId')
    .where('piece.deletedAt', 'is', null)
    .where('pourFacts.pouredAt', 'is not', null);
  if (technique) wanted = wanted.where('piece.technique', '=', technique);
  const rows = await wanted
    .select(['pieceId', 'name', 'technique', 'tool', 'pouredAt', 'photoId', 'numbers'])
    .orderBy('pouredAt', 'desc')
    .execute();
  return rows.map(
    ({ numbers, ...row }) => ({ ...row, numbers: JSON.parse(numbers) as unknown }) as PourNumbers,
  );
}
