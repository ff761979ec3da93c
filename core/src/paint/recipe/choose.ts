import { takesMetallicParts, type Finish, type MaterialKind } from '../material/index.ts';
import type { CupRole, Technique } from '../stage/index.ts';
import type { Recipe, RecipePart } from './recipe.ts';
import { SCHOOLS } from './schools.ts';

const BY_ID = new Map(SCHOOLS.map((school) => [school.id, school]));

/**
 * A school that ships with the product.
 *
 * @example findSchool('D2').name // 'Conditioner, measured water'
 */
export function findSchool(id: string): Recipe | undefined {
  return BY_ID.get(id);
}

/** The school most artists take for a cup (common practice). */
const USUAL: Readonly<Record<Technique, Partial<Record<CupRole, string>>>> = {
  dutch: { base: 'D2', color: 'D2' },
  bloom: { pillow: 'P1', color: 'B1', activator: 'A1' },
  swipe: { base: 'D2', color: 'D2', swipe: 'S1' },
  ring: { base: 'D2', color: 'D2' },
  'lifted-cup': { base: 'D2', color: 'D2' },
  radial: { base: 'D2', color: 'D2' },
};

/** The recipes that can fill a cup of this role for this technique, the usual one first. */
export function recipesFor(
  recipes: readonly Recipe[],
  technique: Technique,
  role: CupRole,
): readonly Recipe[] {
  const usual = USUAL[technique][role];
  return recipes
    .filter((recipe) => recipe.techniques.includes(technique) && recipe.cupRoles.includes(role))
    .sort((a, b) => Number(b.id === usual) - Number(a.id === usual));
}

/**
 * The parts a recipe gives a paint: those of the variant that was asked for, else the variant for
 * metallics where the finish calls for it, else the recipe's own.
 */
export function partsFor(recipe: Recipe, finish: Finish, variant?: string | null): readonly RecipePart[] {
  const asked = recipe.variants?.find((each) => each.name === variant);
  if (asked) return asked.parts;
  const metallic = recipe.variants?.find((each) => each.forMetallics);
  return metallic && takesMetallicParts(finish) ? metallic.parts : recipe.parts;
}

/** Why a recipe must not be made from a kind of paint; `undefined` when it may. */
export function refusal(recipe: Recipe, paint: MaterialKind): string | undefined {
  return recipe.never?.kinds.includes(paint) ? recipe.never.because : undefined;
}
