import { randomUUID } from 'node:crypto';
import type { Blend, Material, Mix, MixCreate, RecipeSnapshot } from '@icy-ribbon/contract';
import { isPaint, materialKind } from '@icy-ribbon/core/paint/material';
import { partsFor, recipesFor, type Recipe } from '@icy-ribbon/core/paint/recipe';
import type { LearnedThickness } from '@icy-ribbon/core/thickness/learn';
import { found, newRecord, timestamp, type Writer } from '../db/record.ts';
import { taken, unfit } from '../http/problem.ts';
import { findMaterial, shelfByKind } from '../material/material.queries.ts';
import { learnedFromReadings } from '../reading/learned.queries.ts';
import { recipeFinder } from '../recipe/recipes.ts';
import { findMix, insertMix, nextPosition } from './mix.queries.ts';
import { planIngredients, type PaintPart } from './plan.ts';

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
  const paints = await paintsFor(trx, recipe, input);
  const shelf = await shelfByKind(trx);
  const taught = learned ?? (await learnedFromReadings(trx, pieceId));
  const variant = input.variant ?? null;
  const ingredients = planIngredients({
    recipe,
    variant,
    paints,
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
    name: input.name ?? nameOf(paints) ?? recipe.name,
    role: input.role,
    recipe: recipeSnapshot(recipe, variant, paints.length > 1 ? (input.blend ?? null) : null),
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

/** The paint or paints a cup was asked for, if its recipe takes any. */
async function paintsFor(trx: Writer, recipe: Recipe, input: MixCreate): Promise<PaintPart[]> {
  if (input.role === 'medium') return [];
  if (!input.blend) return [{ material: await paintFor(trx, recipe, input, input.materialId), parts: 1 }];
  const paints: PaintPart[] = [];
  for (const [index, { materialId, parts }] of input.blend.entries()) {
    const material = await paintFor(trx, recipe, input, materialId);
    if (!isPaint(material.kind)) {
      throw unfit(
        `blend.${index}.materialId`,
        `"${material.name}" is no paint: only paints are stirred together.`,
      );
    }
    paints.push({ material, parts });
  }
  return paints;
}

async function paintFor(
  trx: Writer,
  recipe: Recipe,
  input: MixCreate,
  materialId: string | undefined,
): Promise<Material> {
  const paint = materialId === undefined ? undefined : await findMaterial(trx, materialId);
  if (!paint || paint.deletedAt !== null) throw unfit('materialId', 'Choose a paint from the shelf.');
  const takesPaint = partsFor(recipe, paint.finish, input.variant).some((part) => part.of.kind === 'paint');
  const fits = isPaint(paint.kind) || (!takesPaint && materialKind(paint.kind).group === 'powder');
  if (!fits) throw unfit('materialId', `"${paint.name}" is no paint: choose a paint for the color.`);
  return paint;
}

const LONGEST_NAME = 80;

/** "Slate ink and rain". */
function nameOf(paints: readonly PaintPart[]): string | undefined {
  const [first, ...others] = paints.map(({ material }) => material.name);
  if (first === undefined) return undefined;
  const name =
    others.length === 0 ? first : `${[first, ...others.slice(0, -1)].join(', ')} and ${others.at(-1)}`;
  return name.slice(0, LONGEST_NAME);
}

export const recipeSnapshot = (
  recipe: Recipe,
  variant: string | null,
  blend: Blend | null = null,
): RecipeSnapshot => ({
  id: recipe.id,
  name: recipe.name,
  variant,
  thinning: recipe.thinning ?? null,
  restHours: recipe.restHours ?? null,
  waterLimit: recipe.waterLimit ?? null,
  doseFactor: recipe.doseFactor ?? null,
  blend,
});
