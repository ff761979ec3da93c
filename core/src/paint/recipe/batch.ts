import type { Recipe } from './recipe.ts';
import { expand, type ExpandContext, type ExpandedPart } from './expand.ts';

export interface BatchCup {
  readonly name: string;
  readonly recipe: Recipe;
  readonly massG: number;
}

export interface Batch {
  readonly recipeId: string;
  readonly name: string;
  readonly massG: number;
  readonly forCups: readonly string[];
  readonly parts: readonly (ExpandedPart & { readonly massG: number })[];
}

/**
 * The mixes that several cups of a set share (a bloom medium, a weak water), so that each is made once,
 * first, in the right amount.
 *
 * @returns a batch for every recipe that stands inside one of the cups' recipes; none for a set without
 */
export function batchesOf(cups: readonly BatchCup[], context: ExpandContext): Batch[] {
  const batches = new Map<string, Batch>();
  for (const cup of cups) {
    const total = cup.recipe.parts.reduce((sum, part) => sum + part.amount, 0);
    for (const part of cup.recipe.parts) {
      if (part.of.kind !== 'recipe') continue;
      const inner = context.findRecipe(part.of.recipe);
      if (!inner) continue;
      const massG = (cup.massG * part.amount) / total;
      const before = batches.get(inner.id);
      const sum = massG + (before?.massG ?? 0);
      batches.set(inner.id, {
        recipeId: inner.id,
        name: inner.name,
        massG: sum,
        forCups: [...(before?.forCups ?? []), cup.name],
        parts: expand(inner.parts, context).map((each) => ({ ...each, massG: each.share * sum })),
      });
    }
  }
  return [...batches.values()];
}
