import type { ShelvedMaterial } from '@icy-ribbon/contract';
import { InputError } from '@icy-ribbon/core/base/error';
import { materialKind, stockLeftMg } from '@icy-ribbon/core/paint/material';
import {
  expand,
  fittingPaints,
  recipesFor,
  type IngredientSource,
  type Recipe,
} from '@icy-ribbon/core/paint/recipe';
import type { CupRole, Technique } from '@icy-ribbon/core/paint/stage';
import type { NeededCups } from '@icy-ribbon/core/piece/amount';

/** Cups of one role with what goes into each. */
export interface CupsAsked extends NeededCups {
  readonly recipe: string;
  readonly parts: readonly { readonly name: string; readonly isPaint: boolean; readonly massG: number }[];
}

export interface MaterialAsked {
  readonly name: string;
  readonly massG: number;
  /** What the shelf has of it; null where nothing was counted. */
  readonly leftG: number | null;
}

export interface HowMuch {
  readonly cups: readonly CupsAsked[];
  /** Media, thinners and powders, all cups together. */
  readonly materials: readonly MaterialAsked[];
  /** What it costs, in cents, a paint at what the paints that fit cost on average; null without prices. */
  readonly cents: number | null;
}

type Shelved = Pick<
  ShelvedMaterial,
  'kind' | 'name' | 'densityGPerMl' | 'priceCents' | 'packMg' | 'stockMg' | 'usedMg'
>;

/**
 * What cups of the technique's usual recipes take, ingredient by ingredient, against the shelf. The paint itself is not
 * chosen yet: it is an average one.
 */
export function howMuch(
  needed: readonly NeededCups[],
  technique: Technique,
  recipes: readonly Recipe[],
  shelf: readonly Shelved[],
): HowMuch {
  const findRecipe = (id: string) => recipes.find((each) => each.id === id);
  const totals = new Map<string, { readonly source: IngredientSource; massG: number }>();
  let cents: number | null = 0;
  const cups = needed.map((cup): CupsAsked => {
    const recipe = recipesFor(recipes, technique, cup.role)[0];
    const parts = recipe ? partsOf(recipe, findRecipe) : [];
    for (const { of, share } of parts) {
      const massG = share * cup.massG * cup.count;
      if (of.kind === 'material') {
        const total = totals.get(of.material) ?? { source: of, massG: 0 };
        total.massG += massG;
        totals.set(of.material, total);
      }
      const perG = centsPerG(of, cup.role, recipe, shelf);
      cents = cents === null || perG === null ? null : cents + perG * massG;
    }
    return {
      ...cup,
      recipe: recipe?.name ?? '',
      parts: parts.map(({ of, share }) => ({
        name: nameOf(of),
        isPaint: of.kind !== 'material',
        massG: share * cup.massG,
      })),
    };
  });
  const materials = [...totals.values()].flatMap(({ source, massG }): MaterialAsked[] =>
    source.kind === 'material' && source.material !== 'water'
      ? [{ name: nameOf(source), massG, leftG: leftOnShelf(source, shelf) }]
      : [],
  );
  return { cups, materials, cents };
}

function partsOf(recipe: Recipe, findRecipe: (id: string) => Recipe | undefined) {
  const densityOf = (source: IngredientSource) =>
    materialKind(source.kind === 'material' ? source.material : 'artist-tube').densityGPerMl;
  try {
    return expand(recipe.parts, { findRecipe, densityOf });
  } catch (error) {
    if (error instanceof InputError) return [];
    throw error;
  }
}

function nameOf(source: IngredientSource): string {
  if (source.kind === 'material') return materialKind(source.material).label;
  return source.kind === 'white' ? 'white paint' : 'paint';
}

/** Several packs of a kind are taken together; where one was not counted, nothing can be said. */
function leftOnShelf(source: IngredientSource, shelf: readonly Shelved[]): number | null {
  const own = shelf.filter(({ kind }) => source.kind === 'material' && kind === source.material);
  if (own.some(({ stockMg }) => stockMg === null)) return null;
  return own.reduce((sum, each) => sum + (stockLeftMg(each) ?? 0), 0) / 1000;
}

function centsPerG(
  source: IngredientSource,
  role: CupRole,
  recipe: Recipe | undefined,
  shelf: readonly Shelved[],
): number | null {
  if (source.kind === 'material' && source.material === 'water') return 0;
  const own =
    source.kind === 'material'
      ? shelf.filter(({ kind }) => kind === source.material)
      : fittingPaints(recipe, role, shelf);
  const priced = own.flatMap(({ priceCents, packMg }) =>
    priceCents !== null && packMg ? [(1000 * priceCents) / packMg] : [],
  );
  return priced.length > 0 ? priced.reduce((sum, each) => sum + each, 0) / priced.length : null;
}
