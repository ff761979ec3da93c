import type { PieceListQuery } from '@icy-ribbon/contract';
import { sql } from 'kysely';
import type { Db } from '../db/open.ts';
import { factsOfAny } from './evaluate.ts';
import { FACTS_CODE } from './facts.ts';
import { readPieces } from './piece.queries.ts';

/** A page of pieces in short; each is the JSON text that was checked when it was worked out. */
export interface PiecePageText {
  readonly items: readonly string[];
  readonly total: number;
  readonly page: number;
  readonly pageSize: number;
}

/**
 * One page of pieces in short, filtered, searched and sorted in SQL; unrated pieces come last. What is not worked out
 * yet is worked out for the page, and kept by whoever may write.
 */
export async function listPieces(db: Db, query: PieceListQuery): Promise<PiecePageText> {
  const { total } = await filtered(db, query)
    .select(({ fn }) => fn.countAll<number>().as('total'))
    .executeTakeFirstOrThrow();
  // Sorting first and fetching afterwards: what is worked out is long, and need not be carried through the sort.
  const rows = await sorted(db, query)
    .limit(query.pageSize)
    .offset((query.page - 1) * query.pageSize)
    .execute();
  const ids = rows.map(({ id }) => id);
  return { items: await summaryTexts(db, ids), total, page: query.page, pageSize: query.pageSize };
}

/** Ids of all that match, in their order. */
export async function matchingIds(db: Db, query: PieceListQuery): Promise<string[]> {
  return (await sorted(db, query).execute()).map(({ id }) => id);
}

const sorted = (db: Db, query: PieceListQuery) =>
  filtered(db, query)
    .select('piece.id')
    .orderBy(ORDER[query.sort])
    .orderBy('piece.createdAt', 'desc')
    .orderBy('piece.id');

/** Pieces in short by their ids, in that order. */
export async function summaryTexts(db: Db, ids: readonly string[]): Promise<string[]> {
  const kept = await db
    .selectFrom('pourFacts')
    .select(['pieceId', 'summary'])
    .where('pieceId', 'in', ids)
    .where('code', '=', FACTS_CODE)
    .execute();
  const known = new Set(kept.map(({ pieceId }) => pieceId));
  const missing = ids.filter((id) => !known.has(id));
  const pieces = missing.length === 0 ? [] : await readPieces(db, missing);
  const texts = new Map([
    ...kept.map(({ pieceId, summary }) => [pieceId, summary] as const),
    ...pieces.map((piece) => [piece.id, factsOfAny(piece).summary ?? ''] as const),
  ]);
  return ids.flatMap((id) => texts.get(id) ?? []);
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
  if (query.standIns === 'without') matching = matching.where(sql<boolean>`pourFacts.standIn IS NOT 1`);
  if (to) matching = matching.where('pourFacts.pouredAt', '<', `${to}T24`);
  if (query.originId) {
    matching = matching.where(sql<boolean>`json_extract(piece.origin, '$.pieceId') = ${query.originId}`);
  }
  if (query.having)
    matching = matching.where(sql<boolean>`(${HAVING[query.having]} OR pourFacts.code IS NOT ${FACTS_CODE})`);
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

/** By what was worked out; a piece of which nothing is worked out yet is listed, and looked at by who asked. */
const HAVING = {
  paint: sql`EXISTS (SELECT 1 FROM json_each(pourFacts.summary, '$.mixes') AS cup WHERE json_extract(cup.value, '$.leftMg') > 0)`,
  place: sql`json_extract(pourFacts.summary, '$.care.place') IS NOT NULL`,
  show: sql`json_extract(pourFacts.summary, '$.care.show') IS NOT NULL`,
  open: sql`json_extract(pourFacts.summary, '$.phase') <> 'judged'`,
};

const ORDER = {
  newest: sql`piece.createdAt DESC`,
  finished: sql`judgement.pieceId IS NULL, pourFacts.pouredAt IS NULL, piece.createdAt DESC`,
  oldest: sql`piece.createdAt ASC`,
  name: sql`piece.name COLLATE NOCASE ASC`,
  rating: sql`judgement.rating DESC NULLS LAST`,
  cells: sql`judgement.cells DESC NULLS LAST`,
  lacing: sql`judgement.lacing DESC NULLS LAST`,
  petals: sql`judgement.petals DESC NULLS LAST`,
  mud: sql`judgement.mud ASC NULLS LAST`,
};
