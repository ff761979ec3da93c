import { randomUUID } from 'node:crypto';
import {
  MOST_CUP_MG,
  type ActualUpdate,
  type Addition,
  type AdditionCreate,
  type Ingredient,
  type IngredientCreate,
  type Material,
  type MaterialSnapshot,
  type Mix,
  type MixCreate,
  type MixUpdate,
  type RecipeSnapshot,
} from '@icy-ribbon/contract';
import type { LearnedThickness } from '@icy-ribbon/core/learn';
import { isPaint, materialKind, roleOf } from '@icy-ribbon/core/material';
import { partsFor, recipesFor, type Recipe } from '@icy-ribbon/core/recipe';
import { splitMg } from '@icy-ribbon/core/unit';
import type { Technique } from '@icy-ribbon/core/thickness';
import {
  found,
  given,
  newRecord,
  timestamp,
  updateVersioned,
  type Reader,
  type Writer,
} from '../db/record.ts';
import { notFound, taken, unfit } from '../http/problem.ts';
import { findMaterial, shelfByKind } from '../material/material.queries.ts';
import { learnedFromReadings } from '../reading/learned.queries.ts';
import { recipeFinder } from '../recipe/recipe.queries.ts';
import { planIngredients, snapshotOf } from './plan.ts';
import { fromJson } from '../db/fromJson.ts';
import { requirePiece } from '../db/ofPiece.ts';

/** The mixes of some pieces with their ingredients and what was weighed in, in the order they were planned. */
export async function mixesOf(db: Reader, pieceIds: readonly string[]): Promise<Mix[]> {
  const rows = await db
    .selectFrom('mix')
    .selectAll()
    .where('pieceId', 'in', pieceIds)
    .where('deletedAt', 'is', null)
    .orderBy('position')
    .orderBy('mix.rowid' as never)
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

async function assemble(
  db: Reader,
  rows: readonly { id: string; recipe: string; lid: number }[],
): Promise<Mix[]> {
  if (rows.length === 0) return [];
  const ids = rows.map((row) => row.id);
  const ingredients = await db
    .selectFrom('mixIngredient')
    .selectAll()
    .where('mixId', 'in', ids)
    .orderBy('position')
    .execute();
  const additions = await db
    .selectFrom('mixAddition')
    .selectAll()
    .where('mixId', 'in', ids)
    .where('voidedAt', 'is', null)
    .orderBy('seq')
    .execute();
  const movements = await db
    .selectFrom('mixMovement')
    .selectAll()
    .where('mixId', 'in', ids)
    .where('voidedAt', 'is', null)
    .orderBy('place')
    .orderBy('at')
    .execute();
  return rows.map(
    (row) =>
      ({
        ...row,
        recipe: fromJson(row.recipe) as RecipeSnapshot,
        lid: row.lid === 1,
        ingredients: ingredients
          .filter((each) => each.mixId === row.id)
          .map(({ id, role, share, targetMg, materialSnapshot }) => ({
            id,
            role,
            share,
            targetMg,
            material: fromJson(materialSnapshot) as MaterialSnapshot,
          })),
        additions: additions
          .filter((each) => each.mixId === row.id)
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
          .filter((each) => each.mixId === row.id)
          .map(({ id, kind, mg, at, place }) => ({ id, kind, mg, at, place })),
      }) as Mix,
  );
}

/** Plans a cup: the recipe's parts, filled with what is on the shelf and weighed out to the milligram. */
export async function createMix(
  trx: Writer,
  pieceId: string,
  input: MixCreate,
  learned?: ReadonlyMap<string, LearnedThickness>,
): Promise<Mix> {
  const id = input.id ?? randomUUID();
  const existing = await findMix(trx, id);
  if (existing && existing.pieceId !== pieceId) throw taken('cup');
  if (existing) return existing;
  const piece = found(
    await trx
      .selectFrom('piece')
      .select(['technique'])
      .where('id', '=', pieceId)
      .where('deletedAt', 'is', null)
      .executeTakeFirst(),
    'piece',
  );
  const findRecipe = await recipeFinder(trx);
  const recipe = findRecipe(input.recipeId);
  if (!recipe) throw unfit('recipeId', 'Choose a recipe.');
  const makesIt =
    input.role === 'medium'
      ? recipe.cupRoles.length === 0
      : recipesFor([recipe], piece.technique as Technique, input.role).length > 0;
  if (!makesIt) {
    throw unfit('recipeId', `"${recipe.name}" does not make a ${input.role} for this technique.`);
  }
  const paint = await paintFor(trx, recipe, input);
  const shelf = await shelfByKind(trx);
  const taught = learned ?? (await learnedFromReadings(trx, pieceId));
  const variant = input.variant ?? null;
  const ingredients = planIngredients({
    recipe,
    variant,
    paint,
    ofKind: (kind) => shelf.ofKind(kind),
    white: () => shelf.white(),
    findRecipe,
    totalMg: input.totalMg,
    learned: (materialId) => taught.get(materialId),
    makeId: randomUUID,
  });
  const mix: Mix = {
    ...newRecord(id, timestamp()),
    pieceId,
    name: input.name ?? paint?.name ?? recipe.name,
    role: input.role,
    recipe: recipeSnapshot(recipe, variant),
    position: await nextPosition(trx, pieceId),
    ingredients,
    additions: [],
    movements: [],
    lid: true,
    dryColorHex: null,
  };
  await insertMix(trx, mix);
  return mix;
}

/** The paint a cup was asked for, if its recipe takes one. */
async function paintFor(trx: Writer, recipe: Recipe, input: MixCreate): Promise<Material | undefined> {
  if (input.role === 'medium') return undefined;
  const paint = input.paintId === undefined ? undefined : await findMaterial(trx, input.paintId);
  if (!paint || paint.deletedAt !== null) throw unfit('paintId', 'Choose a paint from the shelf.');
  const takesPaint = partsFor(recipe, paint.finish, input.variant).some((part) => part.of.kind === 'paint');
  const fits = isPaint(paint.kind) || (!takesPaint && materialKind(paint.kind).group === 'powder');
  if (!fits) throw unfit('paintId', `"${paint.name}" is no paint: choose a paint for the color.`);
  return paint;
}

export const recipeSnapshot = (recipe: Recipe, variant: string | null): RecipeSnapshot => ({
  id: recipe.id,
  name: recipe.name,
  variant,
  thinning: recipe.thinning ?? null,
  restHours: recipe.restHours ?? null,
  waterLimit: recipe.waterLimit ?? null,
});

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
    .values({ ...row, lid: Number(lid), recipe: JSON.stringify(recipe) })
    .execute();
  for (const [position, each] of ingredients.entries()) {
    await insertIngredient(trx, mix.id, position, each);
  }
  for (const addition of additions) await insertAddition(trx, mix.id, addition, imported);
  for (const movement of movements) {
    await trx
      .insertInto('mixMovement')
      .values({ ...movement, mixId: mix.id, voidedAt: null })
      .execute();
  }
}

/** Where the next of what comes into a cup or leaves it stands in its order. */
export async function nextPlace(trx: Writer, mixId: string): Promise<number> {
  const lastOf = (table: 'mixAddition' | 'mixMovement') =>
    trx
      .selectFrom(table)
      .select(({ fn }) => fn.max('place').as('last'))
      .where('mixId', '=', mixId)
      .executeTakeFirst();
  const places = [await lastOf('mixAddition'), await lastOf('mixMovement')];
  return 1 + Math.max(...places.map((each) => Number(each?.last ?? 0)));
}

/** @throws HttpProblem 422 when a cup would hold more than a cup can */
export async function requireFits(trx: Writer, mixId: string): Promise<void> {
  const { held } = await trx
    .selectFrom('mixAddition')
    .select(({ fn }) => fn.sum<number>('mg').as('held'))
    .where('mixId', '=', mixId)
    .where('voidedAt', 'is', null)
    .executeTakeFirstOrThrow();
  if (Number(held ?? 0) > MOST_CUP_MG) throw unfit('mg', 'More than a ton does not fit a cup.');
}

export async function insertAddition(
  trx: Writer,
  mixId: string,
  addition: Addition,
  imported: 0 | 1 = 0,
): Promise<void> {
  await trx
    .insertInto('mixAddition')
    .values({ ...addition, mixId, imported, voidedAt: null })
    .execute();
}

/** Renames a cup or changes its amount; the amount is fixed once something has been weighed in. */
export async function updateMix(trx: Writer, id: string, input: MixUpdate): Promise<Mix> {
  const mix = await liveMix(trx, id);
  await updateVersioned(
    trx,
    'mix',
    { id, version: input.version },
    given({
      name: input.name,
      lid: input.lid === undefined ? undefined : Number(input.lid),
      dryColorHex: input.dryColorHex,
    }),
    () => Promise.resolve(mix),
  );
  if (input.totalMg !== undefined) await resize(trx, mix, input.totalMg);
  return found(await findMix(trx, id), 'cup');
}

async function resize(trx: Writer, mix: Mix, totalMg: number): Promise<void> {
  if (mix.additions.length > 0) {
    throw unfit('totalMg', 'Something has been weighed in: the amount of this cup is fixed.');
  }
  const targets = splitMg(
    totalMg,
    mix.ingredients.map((each) => each.share),
  );
  for (const [index, ingredient] of mix.ingredients.entries()) {
    await trx
      .updateTable('mixIngredient')
      .set({ targetMg: targets[index] ?? 0 })
      .where('id', '=', ingredient.id)
      .execute();
  }
}

/** Makes room for a material the recipe does not have; one that is there already is left as it is. */
export async function addIngredient(
  trx: Writer,
  id: string,
  input: IngredientCreate,
  taught?: ReadonlyMap<string, LearnedThickness>,
): Promise<Mix> {
  const mix = await liveMix(trx, id);
  const material = await findMaterial(trx, input.materialId);
  if (!material || material.deletedAt !== null) throw unfit('materialId', 'Choose it from the shelf.');
  if (mix.ingredients.some((each) => each.material.materialId === material.id)) return mix;
  const learned = (taught ?? (await learnedFromReadings(trx, mix.pieceId))).get(material.id);
  await insertIngredient(trx, id, mix.ingredients.length, {
    id: input.id,
    role: roleOf(material.kind),
    share: 0,
    targetMg: 0,
    material: snapshotOf(material, learned),
  });
  await touch(trx, mix);
  return found(await findMix(trx, id), 'cup');
}

async function insertIngredient(
  trx: Writer,
  mixId: string,
  position: number,
  { material, ...ingredient }: Ingredient,
): Promise<void> {
  await trx
    .insertInto('mixIngredient')
    .values({
      ...ingredient,
      mixId,
      position,
      materialId: material.materialId,
      materialSnapshot: JSON.stringify(material),
    })
    .execute();
}

/** Logs something weighed in. The same addition sent again changes nothing. */
export async function addToMix(trx: Writer, id: string, input: AdditionCreate): Promise<Mix> {
  const mix = await liveMix(trx, id);
  requireIngredient(mix, input.ingredientId);
  const known = await trx
    .selectFrom('mixAddition')
    .select('mixId')
    .where('id', '=', input.id)
    .executeTakeFirst();
  if (known && known.mixId !== id) throw taken('cup');
  if (!known) {
    await insertAddition(trx, id, {
      ...input,
      at: timestamp(),
      drawId: null,
      place: await nextPlace(trx, id),
    });
    await touch(trx, mix);
    await requireFits(trx, id);
  }
  return found(await findMix(trx, id), 'cup');
}

/**
 * Strikes out an addition; striking it out again changes nothing. What was drawn from another cup goes
 * back to it, with all that the same draw brought along.
 */
export async function takeBack(trx: Writer, id: string, additionId: string): Promise<Mix> {
  const mix = await liveMix(trx, id);
  const addition = mix.additions.find((each) => each.id === additionId);
  if (!addition) return mix;
  const voidedAt = timestamp();
  await trx
    .updateTable('mixAddition')
    .set({ voidedAt })
    .where('mixId', '=', id)
    .where((eb) =>
      addition.drawId === null ? eb('id', '=', additionId) : eb('drawId', '=', addition.drawId),
    )
    .execute();
  if (addition.drawId !== null) {
    await trx.updateTable('mixMovement').set({ voidedAt }).where('id', '=', addition.drawId).execute();
  }
  await touch(trx, mix);
  return found(await findMix(trx, id), 'cup');
}

/** Replaces all additions of one ingredient by what the scale showed in all. */
export async function setActual(
  trx: Writer,
  id: string,
  ingredientId: string,
  input: ActualUpdate,
): Promise<Mix> {
  const mix = await liveMix(trx, id);
  requireIngredient(mix, ingredientId);
  await updateVersioned(trx, 'mix', { id, version: input.version }, {}, () => Promise.resolve(mix));
  await trx
    .updateTable('mixAddition')
    .set({ voidedAt: timestamp() })
    .where('ingredientId', '=', ingredientId)
    .where('voidedAt', 'is', null)
    .execute();
  if (input.mg > 0) {
    await insertAddition(trx, id, {
      id: randomUUID(),
      ingredientId,
      mg: input.mg,
      source: input.source,
      at: timestamp(),
      drawId: null,
      place: await nextPlace(trx, id),
    });
    await requireFits(trx, id);
  }
  return found(await findMix(trx, id), 'cup');
}

function requireIngredient(mix: Mix, ingredientId: string): void {
  if (!mix.ingredients.some((each) => each.id === ingredientId)) {
    throw unfit('ingredientId', 'This ingredient is not in the cup’s recipe.');
  }
}

async function touch(trx: Writer, mix: Mix): Promise<void> {
  await updateVersioned(trx, 'mix', mix, {}, () => Promise.resolve(mix));
}
