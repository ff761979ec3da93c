import { randomUUID } from 'node:crypto';
import type { Material, Mix, MixCreate, RecipeSnapshot } from '@icy-ribbon/contract';
import { isPaint, materialKind } from '@icy-ribbon/core/paint/material';
import { partsFor, recipesFor, type Recipe } from '@icy-ribbon/core/paint/recipe';
import type { LearnedThickness } from '@icy-ribbon/core/thickness/learn';
import { found, newRecord, timestamp, type Writer } from '../db/record.ts';
import { taken, unfit } from '../http/problem.ts';
import { findMaterial, shelfByKind } from '../material/material.queries.ts';
import { learnedFromReadings } from '../reading/learned.queries.ts';
import { recipeFinder } from '../recipe/recipe.queries.ts';
import { findMix, insertMix, nextPosition } from './mix.queries.ts';
import { planIngredients } from './plan.ts';

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
      : recipesFor([recipe], piece.technique, input.role).length > 0;
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
  doseFactor: recipe.doseFactor ?? null,
});
