import { randomUUID } from 'node:crypto';
import type {
  Piece,
  PieceCreate,
  PieceListQuery,
  PieceSummary,
  PieceUpdate,
  SupportSnapshot,
} from '@icy-ribbon/contract';
import { sql, type Selectable } from 'kysely';
import type { Db } from '../db/open.ts';
import { given, newRecord, timestamp, updateVersioned, type Reader, type Writer } from '../db/record.ts';
import type { PieceTable } from '../db/schema.ts';
import { unfit } from '../http/problem.ts';
import { judgementsOf } from '../judgement/judgement.queries.ts';
import { mixesOf } from '../mix/mix.queries.ts';
import { photosOf } from '../photo/photo.queries.ts';
import { plansOf } from '../plan/plan.queries.ts';
import { eventsOf } from '../pour/pour.queries.ts';
import { readingsOf } from '../reading/reading.queries.ts';
import { refreshFacts } from '../result/facts.ts';
import { findSupport } from '../support/support.queries.ts';
import { summarize } from './summary.ts';

type PieceRow = Selectable<PieceTable>;

/** Pieces with everything that belongs to them, read in seven queries however many there are. */
async function assemble(db: Reader, rows: readonly PieceRow[]): Promise<Piece[]> {
  if (rows.length === 0) return [];
  const ids = rows.map((row) => row.id);
  const mixes = await mixesOf(db, ids);
  const events = await eventsOf(db, ids);
  const readings = await readingsOf(db, ids);
  const plans = await plansOf(db, ids);
  const photos = await photosOf(db, ids);
  const judgements = await judgementsOf(db, ids);
  return rows.map(({ supportId, supportSnapshot, ...row }) => {
    void supportId;
    return {
      ...row,
      technique: row.technique as Piece['technique'],
      support: JSON.parse(supportSnapshot) as SupportSnapshot,
      mixes: mixes.filter((mix) => mix.pieceId === row.id),
      readings: readings.filter((reading) => reading.pieceId === row.id),
      plan: plans.get(row.id) ?? null,
      events: events.filter((event) => event.pieceId === row.id),
      photos: photos.filter((photo) => photo.pieceId === row.id),
      judgement: judgements.get(row.id) ?? null,
    };
  });
}

/** One piece, deleted or not. */
export async function findPiece(db: Reader, id: string): Promise<Piece | undefined> {
  const row = await db.selectFrom('piece').selectAll().where('id', '=', id).executeTakeFirst();
  return row && (await assemble(db, [row]))[0];
}

/** Whole pieces by their ids. */
export async function readPieces(db: Reader, ids: readonly string[]): Promise<Piece[]> {
  const rows = await db.selectFrom('piece').selectAll().where('id', 'in', ids).execute();
  return assemble(db, rows);
}

/** One page of pieces in short, filtered, searched and sorted in SQL; unrated pieces come last. */
export async function listPieces(
  db: Db,
  query: PieceListQuery,
): Promise<{ items: PieceSummary[]; total: number; page: number; pageSize: number }> {
  if (query.tool ?? query.stage ?? query.from ?? query.to) await refreshFacts(db, readPieces);
  const matching = filtered(db, query);
  const { total } = await matching
    .select(({ fn }) => fn.countAll<number>().as('total'))
    .executeTakeFirstOrThrow();
  const rows = await matching
    .selectAll('piece')
    .orderBy(ORDER[query.sort])
    .orderBy('piece.createdAt', 'desc')
    .limit(query.pageSize)
    .offset((query.page - 1) * query.pageSize)
    .execute();
  const pieces = await assemble(db, rows);
  return {
    items: pieces.map(summarize),
    total,
    page: query.page,
    pageSize: query.pageSize,
  };
}

/** SQL: pieces with their judgement and numbers, WHERE each filter that is set. */
function filtered(db: Db, query: PieceListQuery) {
  let matching = db
    .selectFrom('piece')
    .leftJoin('judgement', 'judgement.pieceId', 'piece.id')
    .leftJoin('pourFacts', 'pourFacts.pieceId', 'piece.id')
    .where('piece.deletedAt', 'is', null);
  const { technique, tool, materialId, stage, ratingFrom, from, to } = query;
  if (technique) matching = matching.where('piece.technique', '=', technique);
  if (tool) {
    matching = matching.where(
      sql<boolean>`EXISTS (SELECT 1 FROM json_each(pourFacts.tools) WHERE value = ${tool})`,
    );
  }
  if (materialId) {
    matching = matching.where(
      sql<boolean>`piece.id IN (SELECT mix.pieceId FROM mix JOIN mixIngredient ON mixIngredient.mixId = mix.id
        WHERE mixIngredient.materialId = ${materialId} AND mix.deletedAt IS NULL)`,
    );
  }
  if (stage) matching = matching.where('pourFacts.stage', '=', stage);
  if (ratingFrom) matching = matching.where('judgement.rating', '>=', ratingFrom);
  if (from) matching = matching.where('pourFacts.pouredAt', '>=', from);
  if (to) matching = matching.where('pourFacts.pouredAt', '<', `${to}T24`);
  const words = searchWords(query.q);
  if (words) {
    matching = matching.where(
      sql<boolean>`piece.rowid IN (SELECT rowid FROM pieceWords WHERE pieceWords MATCH ${words})`,
    );
  }
  return matching;
}

/** Every word that was typed must begin a word of the piece; signs that mean something to FTS5 are quoted away. */
function searchWords(q: string | undefined): string | undefined {
  const words = q?.match(/[\p{L}\p{N}]+/gu) ?? [];
  return words.length > 0 ? words.map((word) => `"${word}"*`).join(' ') : undefined;
}

const ORDER = {
  newest: sql`piece.createdAt DESC`,
  oldest: sql`piece.createdAt ASC`,
  name: sql`piece.name COLLATE NOCASE ASC`,
  rating: sql`judgement.rating DESC NULLS LAST`,
  cells: sql`judgement.cells DESC NULLS LAST`,
  lacing: sql`judgement.lacing DESC NULLS LAST`,
  petals: sql`judgement.petals DESC NULLS LAST`,
  mud: sql`judgement.mud ASC NULLS LAST`,
};

/** Starts a piece; it keeps the support as it is now. */
export async function createPiece(trx: Writer, input: PieceCreate): Promise<Piece> {
  const id = input.id ?? randomUUID();
  const existing = await findPiece(trx, id);
  if (existing) return existing;
  const support = await findSupport(trx, input.supportId);
  if (!support || support.deletedAt !== null) {
    throw unfit('supportId', 'Choose a support from the shelf.');
  }
  const { name, shape, widthMm, heightMm, sideDepthMm } = support;
  const piece: Piece = {
    ...newRecord(id, timestamp()),
    name: input.name,
    technique: input.technique,
    note: input.note,
    support: { supportId: support.id, name, shape, widthMm, heightMm, sideDepthMm },
    mixes: [],
    readings: [],
    plan: null,
    events: [],
    photos: [],
    judgement: null,
  };
  await insertPieceRow(trx, piece);
  return piece;
}

/** Writes a piece's own row; what belongs to it is written beside it by its own queries. */
export async function insertPieceRow(trx: Writer, piece: Piece): Promise<void> {
  await trx
    .insertInto('piece')
    .values({
      id: piece.id,
      version: piece.version,
      createdAt: piece.createdAt,
      updatedAt: piece.updatedAt,
      deletedAt: piece.deletedAt,
      name: piece.name,
      technique: piece.technique,
      note: piece.note,
      supportId: piece.support.supportId,
      supportSnapshot: JSON.stringify(piece.support),
    })
    .execute();
}

export async function updatePiece(
  trx: Writer,
  id: string,
  { version, ...changes }: PieceUpdate,
): Promise<void> {
  await updateVersioned(trx, 'piece', { id, version }, given(changes), () => findPiece(trx, id));
}
