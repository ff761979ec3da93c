import type { Piece } from '@icy-ribbon/contract';
import type { Db } from '../db/open.ts';
import type { Reader, Writer } from '../db/record.ts';
import { unfit } from '../http/problem.ts';
import { FACTS_CODE, factsOf, troubledFacts, troubleOf, type FactsRow } from './facts.ts';
import { readPieces } from './piece.queries.ts';
import { reasonOf } from './whole.ts';

const BATCH = 100;

/**
 * Works out everything of the pieces that a transaction has changed, before it counts.
 *
 * @throws HttpProblem 422 when that cannot be done and could be before: what made it so is refused
 */
export async function evaluateTouched(trx: Writer): Promise<void> {
  const touched = await trx.selectFrom('touched').selectAll().execute();
  if (touched.length === 0) return;
  for (let from = 0; from < touched.length; from += BATCH) {
    const batch = touched.slice(from, from + BATCH);
    const wasFine = new Map(
      batch.map(({ pieceId, isNew, code, trouble }) => [
        pieceId,
        isNew === 1 || (code === FACTS_CODE && trouble === null),
      ]),
    );
    const pieces = await readPieces(trx, [...wasFine.keys()]);
    const there = pieces.filter(({ deletedAt }) => deletedAt === null);
    await keepFacts(
      trx,
      there.map((piece) => evaluated(piece, wasFine.get(piece.id)!)),
    );
  }
  await trx.deleteFrom('touched').execute();
}

/** A piece that was in trouble before may stay so: mending it takes more than one step. */
function evaluated(piece: Piece, wasFine: boolean): FactsRow {
  try {
    return factsOf(piece);
  } catch (error) {
    const trouble = troubleOf(error);
    if (!trouble) throw error;
    if (wasFine) throw unfit(trouble.path, trouble.message);
    return troubledFacts(piece, reasonOf(trouble.message));
  }
}

/** Facts of a piece as it stands, whatever stands there. */
export function factsOfAny(piece: Piece): FactsRow {
  try {
    return factsOf(piece);
  } catch (error) {
    const trouble = troubleOf(error);
    return troubledFacts(piece, trouble ? reasonOf(trouble.message) : 'the program cannot read it.');
  }
}

/** What something other than a `write` has changed is nobody's to answer for. */
export async function forgetTouched(trx: Writer): Promise<void> {
  await trx.deleteFrom('touched').execute();
}

async function keepFacts(trx: Writer, rows: readonly FactsRow[]): Promise<void> {
  if (rows.length === 0) return;
  await trx
    .insertInto('pourFacts')
    .values(rows)
    .onConflict((conflict) => conflict.column('pieceId').doNothing())
    .execute();
}

const WARM_PIECES = 20;

/**
 * Works out the newest pieces and lets that go: code that has run is quick, and the first who logs something after a
 * start does not wait for it.
 */
export async function warmUpFacts(db: Db): Promise<void> {
  const newest = await db
    .selectFrom('piece')
    .select('id')
    .where('deletedAt', 'is', null)
    .orderBy('createdAt', 'desc')
    .limit(WARM_PIECES)
    .execute();
  for (const { id } of newest) {
    for (const piece of await readPieces(db, [id])) factsOfAny(piece);
    // Whoever asks meanwhile comes first.
    await new Promise((resolve) => setImmediate(resolve));
  }
}

/** Pieces of which nothing is worked out, or by older code; writes keep all others up to date. */
export async function piecesWithoutFacts(db: Reader, most: number): Promise<string[]> {
  const rows = await db
    .selectFrom('piece')
    .leftJoin('pourFacts', 'pourFacts.pieceId', 'piece.id')
    .where('piece.deletedAt', 'is', null)
    .where((eb) => eb.or([eb('pourFacts.pieceId', 'is', null), eb('pourFacts.code', '!=', FACTS_CODE)]))
    .select('piece.id')
    .limit(most)
    .execute();
  return rows.map(({ id }) => id);
}

/** Facts of some pieces that have none, to be kept by whoever may write. */
export async function missingFacts(db: Db): Promise<FactsRow[]> {
  const ids = await piecesWithoutFacts(db, BATCH);
  return ids.length === 0 ? [] : (await readPieces(db, ids)).map(factsOfAny);
}

/** Replaces what older code worked out, and adds what is missing, until nothing is. */
export async function refreshFacts(
  db: Db,
  workOut: () => Promise<FactsRow[]> = () => missingFacts(db),
): Promise<void> {
  for (;;) {
    const rows = await workOut();
    if (rows.length === 0) return;
    await db.transaction().execute(async (trx) => {
      await trx
        .deleteFrom('pourFacts')
        .where('code', '!=', FACTS_CODE)
        .where(
          'pieceId',
          'in',
          rows.map(({ pieceId }) => pieceId),
        )
        .execute();
      await keepFacts(trx, rows);
    });
  }
}
