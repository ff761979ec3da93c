import type { Addition, Ingredient, Mix } from '@icy-ribbon/contract';
import { sql, type Selectable } from 'kysely';
import { fromJson, toJson } from '../db/json.ts';
import { requirePiece } from '../db/ofPiece.ts';
import { found, insertRows, type Reader, type Writer } from '../db/record.ts';
import type { MixTable } from '../db/schema.ts';
import { notFound } from '../http/problem.ts';

/** The mixes of some pieces with their ingredients and what was weighed in, in the order they were planned. */
/** Cups planned before several paints could be stirred together. */
const NO_BLEND = { blend: null };

export async function mixesOf(db: Reader, pieceIds: readonly string[]): Promise<Mix[]> {
  const rows = await db
    .selectFrom('mix')
    .selectAll()
    .where('pieceId', 'in', pieceIds)
    .where('deletedAt', 'is', null)
    .orderBy('position')
    .orderBy(sql`mix.rowid`)
    .execute();
  return assemble(db, rows);
}

/** One mix, deleted or not. */
export async function findMix(db: Reader, id: string): Promise<Mix | undefined> {
  const row = await db.selectFrom('mix').selectAll().where('id', '=', id).executeTakeFirst();
  return row && (await assemble(db, [row]))[0];
}

/**
 * A cup that can be worked with, on a piece that is there.
 *
 * @throws HttpProblem 404 when it, or its piece, was deleted
 */
export async function liveMix(db: Reader, id: string): Promise<Mix> {
  const mix = found(await findMix(db, id), 'cup');
  if (mix.deletedAt !== null) throw notFound('cup');
  await requirePiece(db, mix.pieceId);
  return mix;
}

async function assemble(db: Reader, rows: readonly Selectable<MixTable>[]): Promise<Mix[]> {
  if (rows.length === 0) return [];
  const ids = rows.map((row) => row.id);
  const ingredients = await db
    .selectFrom('mixIngredient')
    .selectAll()
    .where('cupId', 'in', ids)
    .orderBy('position')
    .execute();
  const additions = await db
    .selectFrom('mixAddition')
    .selectAll()
    .where('cupId', 'in', ids)
    .where('voidedAt', 'is', null)
    .orderBy('seq')
    .execute();
  const movements = await db
    .selectFrom('mixMovement')
    .selectAll()
    .where('cupId', 'in', ids)
    .where('voidedAt', 'is', null)
    .orderBy('place')
    .orderBy('at')
    .execute();
  return rows.map((row) => ({
    ...row,
    recipe: { ...NO_BLEND, ...fromJson(row.recipe) },
    lid: row.lid === 1,
    ingredients: ingredients
      .filter((each) => each.cupId === row.id)
      .map(({ id, role, share, targetMg, materialSnapshot }) => ({
        id,
        role,
        share,
        targetMg,
        material: fromJson(materialSnapshot),
      })),
    additions: additions
      .filter((each) => each.cupId === row.id)
      .map(({ id, ingredientId, mg, source, at, drawId, place }) => ({
        id,
        ingredientId,
        mg,
        source,
        at,
        drawId,
        place,
      })),
    movements: movements
      .filter((each) => each.cupId === row.id)
      .map(({ id, kind, mg, at, place }) => ({ id, kind, mg, at, place })),
  }));
}

/** Where the next cup of a piece stands in its row. */
export async function nextPosition(trx: Writer, pieceId: string): Promise<number> {
  const { last } = await trx
    .selectFrom('mix')
    .select(({ fn }) => fn.max('position').as('last'))
    .where('pieceId', '=', pieceId)
    .executeTakeFirstOrThrow();
  return last === null ? 0 : Number(last) + 1;
}

export async function insertMix(trx: Writer, mix: Mix, imported: 0 | 1 = 0): Promise<void> {
  const { ingredients, additions, movements, recipe, lid, ...row } = mix;
  await trx
    .insertInto('mix')
    .values({ ...row, lid: Number(lid), recipe: toJson(recipe) })
    .execute();
  await insertRows(
    trx,
    'mixIngredient',
    ingredients.map((each, position) => ingredientRow(mix.id, position, each)),
  );
  await insertRows(
    trx,
    'mixAddition',
    additions.map((each) => additionRow(mix.id, each, imported)),
  );
  await insertRows(
    trx,
    'mixMovement',
    movements.map((each) => ({ ...each, cupId: mix.id, voidedAt: null })),
  );
}

/** Where the next of what comes into a cup or leaves it stands in its order. */
export async function nextPlace(trx: Writer, cupId: string): Promise<number> {
  const lastOf = (table: 'mixAddition' | 'mixMovement') =>
    trx
      .selectFrom(table)
      .select(({ fn }) => fn.max('place').as('last'))
      .where('cupId', '=', cupId)
      .executeTakeFirst();
  const places = [await lastOf('mixAddition'), await lastOf('mixMovement')];
  return 1 + Math.max(...places.map((each) => Number(each?.last ?? 0)));
}

const additionRow = (cupId: string, addition: Addition, imported: 0 | 1) => ({
  ...addition,
  cupId,
  imported,
  voidedAt: null,
});

export const insertAddition = (trx: Writer, cupId: string, addition: Addition): Promise<void> =>
  insertRows(trx, 'mixAddition', [additionRow(cupId, addition, 0)]);

const ingredientRow = (cupId: string, position: number, { material, ...ingredient }: Ingredient) => ({
  ...ingredient,
  cupId,
  position,
  materialId: material.materialId,
  materialSnapshot: toJson(material),
});

export const insertIngredient = (
  trx: Writer,
  cupId: string,
  position: number,
  ingredient: Ingredient,
): Promise<void> => insertRows(trx, 'mixIngredient', [ingredientRow(cupId, position, ingredient)]);
