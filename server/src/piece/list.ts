import type { PieceListQuery } from '@icy-ribbon/contract';
import { sql, type RawBuilder } from 'kysely';
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
  const total = await countMatching(db, query);
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
  filtered(db, query).select('piece.id').orderBy(ORDER[query.sort]).orderBy('piece.id');

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

type Condition = RawBuilder<boolean>;

/** SQL: WHERE each filter that is set. Those of the piece itself need nothing joined to it. */
function conditionsOf(query: PieceListQuery): { own: Condition[]; joined: Condition[] } {
  const { technique, tool, materialId, stage, ratingFrom, from, to, originId, having } = query;
  const words = searchWords(query.q);
  const set = (conditions: readonly (Condition | false | undefined | '')[]) =>
    conditions.filter((each): each is Condition => Boolean(each));
  return {
    own: set([
      sql`piece.deletedAt IS NULL`,
      technique && sql`piece.technique = ${technique}`,
      materialId &&
        sql`piece.id IN (SELECT mix.pieceId FROM mix JOIN mixIngredient ON mixIngredient.cupId = mix.id
          WHERE mixIngredient.materialId = ${materialId} AND mix.deletedAt IS NULL)`,
      originId && sql`json_extract(piece.origin, '$.pieceId') = ${originId}`,
      words && sql`piece.rowid IN (SELECT rowid FROM pieceWords WHERE pieceWords MATCH ${words})`,
    ]),
    joined: set([
      tool && sql`EXISTS (SELECT 1 FROM json_each(pourFacts.tools) WHERE value = ${tool})`,
      stage && sql`pourFacts.stage = ${stage}`,
      ratingFrom ? sql`judgement.rating >= ${ratingFrom}` : false,
      from && sql`pourFacts.pouredAt >= ${from}`,
      to && sql`pourFacts.pouredAt < ${`${to}T24`}`,
      query.standIns === 'without' && sql`pourFacts.standIn IS NOT 1`,
      having && sql`(${HAVING[having]} OR pourFacts.code IS NOT ${FACTS_CODE})`,
    ]),
  };
}

/** Pieces with their judgement and numbers, those that match. */
function filtered(db: Db, query: PieceListQuery) {
  const { own, joined } = conditionsOf(query);
  return db
    .selectFrom('piece')
    .leftJoin('judgement', 'judgement.pieceId', 'piece.id')
    .leftJoin('pourFacts', 'pourFacts.pieceId', 'piece.id')
    .where(({ and }) => and([...own, ...joined]));
}

async function countMatching(db: Db, query: PieceListQuery): Promise<number> {
  const { own, joined } = conditionsOf(query);
  // What is joined is looked up for every piece, even where nothing asks for it.
  const { total } = await (
    joined.length > 0
      ? filtered(db, query).select(({ fn }) => fn.countAll<number>().as('total'))
      : db
          .selectFrom('piece')
          .where(({ and }) => and(own))
          .select(({ fn }) => fn.countAll<number>().as('total'))
  ).executeTakeFirstOrThrow();
  return total;
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

const NEWEST = sql`piece.createdAt DESC`;
const ORDER = {
  newest: NEWEST,
  finished: sql`judgement.pieceId IS NULL, pourFacts.pouredAt IS NULL, ${NEWEST}`,
  oldest: sql`piece.createdAt ASC`,
  name: sql`piece.name COLLATE NOCASE ASC, ${NEWEST}`,
  rating: sql`judgement.rating DESC NULLS LAST, ${NEWEST}`,
  cells: sql`judgement.cells DESC NULLS LAST, ${NEWEST}`,
  lacing: sql`judgement.lacing DESC NULLS LAST, ${NEWEST}`,
  petals: sql`judgement.petals DESC NULLS LAST, ${NEWEST}`,
  mud: sql`judgement.mud ASC NULLS LAST, ${NEWEST}`,
};
