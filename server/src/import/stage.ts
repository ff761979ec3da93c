import { randomUUID } from 'node:crypto';
import { mkdir } from 'node:fs/promises';
import { join } from 'node:path';
import type { Archive, ArchiveResult, Piece } from '@icy-ribbon/contract';
import { sql, type Transaction } from 'kysely';
import { CALIBRATIONS } from '../calibration/calibrations.ts';
import { openFresh, type Db } from '../db/open.ts';
import { insertRows } from '../db/record.ts';
import type { Database } from '../db/schema.ts';
import { write } from '../db/write.ts';
import { DRILLS } from '../drill/drills.ts';
import { EQUIPMENT } from '../equipment/equipment.ts';
import { folderOf } from '../folder/folder.ts';
import { removeIn } from '../folder/remove.ts';
import { HttpProblem, unfit } from '../http/problem.ts';
import { insertMaterial } from '../material/material.queries.ts';
import { insertPiece } from '../piece/document.ts';
import { RECIPES } from '../recipe/recipes.ts';
import { VIEWS } from '../result/views.ts';
import { SUPPORTS } from '../support/supports.ts';
import type { Bench } from '../task/bench.ts';
import type { Places } from './check.ts';

/** What came in, photos aside. */
export type TakenOver = Omit<ArchiveResult, 'photosMissing'>;

/** So many pieces are written and worked out together. */
const AT_ONCE = 50;

type Detail = Archive['details'][number]['detail'];

/** Tables of records that stand by themselves, and the list of the answer that counts them. */
const SHELVES = {
  material: 'materials',
  support: 'supports',
  equipment: 'equipment',
  recipe: 'recipes',
  calibration: 'calibrations',
  drillRun: 'drills',
  savedView: 'views',
} as const;

/** What belongs to a piece, each with how its piece is found, in an order in which all they refer to is there. */
const PARTS: Readonly<Record<string, string>> = {
  mix: 'pieceId IN (SELECT id FROM temp.arriving)',
  mixIngredient: 'cupId IN (SELECT id FROM staged.mix WHERE pieceId IN (SELECT id FROM temp.arriving))',
  mixAddition: 'cupId IN (SELECT id FROM staged.mix WHERE pieceId IN (SELECT id FROM temp.arriving))',
  mixMovement: 'cupId IN (SELECT id FROM staged.mix WHERE pieceId IN (SELECT id FROM temp.arriving))',
  reading: 'pieceId IN (SELECT id FROM temp.arriving)',
  pourEvent: 'pieceId IN (SELECT id FROM temp.arriving)',
  careEvent: 'pieceId IN (SELECT id FROM temp.arriving)',
  photo: 'pieceId IN (SELECT id FROM temp.arriving)',
  plan: 'pieceId IN (SELECT id FROM temp.arriving)',
  judgement: 'pieceId IN (SELECT id FROM temp.arriving)',
};
/** Named by their piece, not by an id of their own. */
const ONE_OF_PIECE = new Set(['plan', 'judgement']);

/**
 * Brings a studio in, all or nothing. It is first written into a database of its own, where everything is worked out
 * of it as if it were here; then that database is taken over in one short transaction, so that nobody who logs a pour
 * meanwhile has to wait.
 *
 * @param archive checked by its schema and held against itself, its photos filed
 * @throws HttpProblem 422 with the place in the file of what cannot be worked out, 409 when an id is taken
 * @throws Cancelled
 */
export async function stageAndTakeOver(
  bench: Bench,
  archive: Archive,
  places: Places,
  prefix: (path: string) => string = (path) => path,
  keepsShelf = false,
): Promise<TakenOver> {
  const { incoming } = folderOf(bench.dataFolder);
  await mkdir(incoming, { recursive: true });
  const path = join(incoming, `${randomUUID()}.part.sqlite`);
  try {
    await stage(bench, path, archive, prefix);
    bench.goOn();
    bench.report({ phase: 'Backing up', done: 0, total: 1 });
    await bench.beforeWriting();
    bench.goOn();
    bench.report({ phase: 'Writing', done: 0, total: 1 });
    return await bench.withWriter((db) => takeOver(db, path, archive, places, keepsShelf));
  } finally {
    for (const end of ['', '-wal', '-shm', '-journal']) await removeIn(incoming, `${path}${end}`);
  }
}

async function stage(
  bench: Bench,
  path: string,
  archive: Archive,
  prefix: (path: string) => string,
): Promise<void> {
  const db = await openFresh(path);
  const details = new Map<string, Detail>(archive.details.map(({ photoId, detail }) => [photoId, detail]));
  try {
    await db.transaction().execute(async (trx) => {
      for (const material of archive.materials) await insertMaterial(trx, material);
      for (const support of archive.supports) await SUPPORTS.insert(trx, support);
      for (const equipment of archive.equipment) await EQUIPMENT.insert(trx, equipment);
      for (const recipe of archive.recipes) await RECIPES.insert(trx, recipe);
      for (const calibration of archive.calibrations) await CALIBRATIONS.insert(trx, calibration);
      for (const run of archive.drills) await DRILLS.insert(trx, run);
      for (const view of archive.views) await VIEWS.insert(trx, view);
    });
    const put = (pieces: readonly Piece[]) =>
      write(db, async (trx) => {
        for (const piece of pieces) await insertPiece(trx, piece, (id) => details.get(id) ?? null, 1);
        const touched = pieces.map(({ id }) => ({ pieceId: id, isNew: 1, code: null, trouble: null }));
        await insertRows(trx, 'touched', touched);
      });
    const { length } = archive.pieces;
    for (let from = 0; from < length; from += AT_ONCE) {
      bench.goOn();
      bench.report({ phase: 'Checking', done: from, total: length });
      const some = archive.pieces.slice(from, from + AT_ONCE);
      try {
        await put(some);
      } catch (error) {
        if (!(error instanceof HttpProblem)) throw error;
        // One of them does not fit: each by itself tells which.
        for (const [index, piece] of some.entries()) {
          await put([piece]).catch((problem: unknown) => {
            throw problem instanceof HttpProblem ? placed(problem, prefix, from + index) : problem;
          });
        }
        throw error;
      }
    }
  } finally {
    await db.destroy();
  }
}

/** The same problem with its place in the file. */
function placed(
  { errors, message }: HttpProblem,
  prefix: (path: string) => string,
  index: number,
): HttpProblem {
  const [first] = errors ?? [];
  return unfit(prefix(`pieces.${index}${first?.path ? `.${first.path}` : ''}`), message);
}

async function takeOver(
  db: Db,
  path: string,
  archive: Archive,
  places: Places,
  keepsShelf: boolean,
): Promise<TakenOver> {
  await sql`ATTACH ${path} AS staged`.execute(db);
  try {
    return await write(db, async (trx) => {
      if (!keepsShelf) await clearStarterShelf(trx);
      await sql`CREATE TEMP TABLE IF NOT EXISTS arriving (id TEXT PRIMARY KEY)`.execute(trx);
      await sql`DELETE FROM temp.arriving`.execute(trx);
      const counts = {} as Record<(typeof SHELVES)[keyof typeof SHELVES], ArchiveResult['pieces']>;
      for (const [table, list] of Object.entries(SHELVES) as [
        keyof typeof SHELVES,
        (typeof SHELVES)[keyof typeof SHELVES],
      ][]) {
        const added = await copy(trx, table, `id NOT IN (SELECT id FROM main.${table})`);
        counts[list] = { added, kept: archive[list].length - added };
      }
      await sql`INSERT INTO temp.arriving SELECT id FROM staged.piece
        WHERE id NOT IN (SELECT id FROM main.piece)`.execute(trx);
      const added = await copy(trx, 'piece', 'id IN (SELECT id FROM temp.arriving)');
      for (const [table, where] of Object.entries(PARTS)) {
        if (!ONE_OF_PIECE.has(table)) await requireFree(trx, table, where, places);
        await copy(trx, table, where);
      }
      // What was worked out on the way in is what would be worked out here.
      await copy(trx, 'pourFacts', 'pieceId IN (SELECT id FROM temp.arriving)');
      await sql`DELETE FROM main.touched`.execute(trx);
      return { ...counts, pieces: { added, kept: archive.pieces.length - added } };
    });
  } finally {
    await sql`DETACH staged`.execute(db);
  }
}

/** Rows of a table of the staged database into the same table here, in their order. */
async function copy(trx: Transaction<Database>, table: string, where: string): Promise<number> {
  const { rows } = await sql<{ name: string }>`SELECT name FROM pragma_table_info(${table})`.execute(trx);
  const columns = rows
    .map(({ name }) => name)
    .filter((name) => name !== 'seq')
    .map((name) => `"${name}"`)
    .join(', ');
  const result = await sql
    .raw(
      `INSERT INTO main.${table} (${columns}) SELECT ${columns} FROM staged.${table} WHERE ${where} ORDER BY rowid`,
    )
    .execute(trx);
  return Number(result.numAffectedRows ?? 0n);
}

/** @throws HttpProblem 409 with the place in the file of the first id that something else here has already */
async function requireFree(
  trx: Transaction<Database>,
  table: string,
  where: string,
  places: Places,
): Promise<void> {
  const { rows } = await sql
    .raw<{ id: string }>(
      `SELECT id FROM staged.${table} WHERE ${where} AND id IN (SELECT id FROM main.${table}) ORDER BY rowid LIMIT 1`,
    )
    .execute(trx);
  const [first] = rows;
  if (!first) return;
  const path = places.get(`${table} ${first.id}`) ?? table;
  const message = 'This id belongs to another piece here: the file was put together from two.';
  throw new HttpProblem('taken', message, { errors: [{ path: `${path}.id`, message }] });
}

/** A studio without pieces has only the shelf that it started with, which makes room for the one that comes in. */
async function clearStarterShelf(trx: Transaction<Database>): Promise<void> {
  const isUsed = await trx.selectFrom('piece').select('id').limit(1).executeTakeFirst();
  const arrives = await sql`SELECT id FROM staged.piece LIMIT 1`.execute(trx);
  if (isUsed || arrives.rows.length === 0) return;
  for (const table of ['material', 'support', 'equipment'] as const) {
    await trx.deleteFrom(table).where('version', '=', 1).execute();
  }
}
