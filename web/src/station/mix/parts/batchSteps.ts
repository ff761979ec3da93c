import type { Mix } from '@icy-ribbon/contract';
import {
  stepProgress,
  type CupState,
  type StepProgress,
  type StirringOrder,
} from '@icy-ribbon/core/paint/mix';
import type { Recipe } from '@icy-ribbon/core/paint/recipe';
import { splitMg } from '@icy-ribbon/core/base/unit';

interface MediumCup {
  readonly mix: Mix;
  readonly state: CupState;
}

/** A medium that was made for several cups at once and goes into this one as a whole. */
export interface BatchedMedium {
  readonly id: string;
  /** The cup it is poured from. */
  readonly cupId: string;
  readonly name: string;
  readonly targetMg: number;
  /** The cup's ingredients that the medium brings along, each with its share of it. */
  readonly parts: readonly { readonly ingredientId: string; readonly contentsMg: number }[];
}

/** The mixed medium on the bench that goes into a cup, if its recipe takes one and none of it was weighed in by itself. */
export function batchedMedium(
  mix: Mix,
  findRecipe: (id: string) => Recipe | undefined,
  cups: readonly MediumCup[],
): BatchedMedium | undefined {
  for (const part of findRecipe(mix.recipe.id)?.parts ?? []) {
    if (part.of.kind !== 'recipe') continue;
    const { recipe: wanted } = part.of;
    const medium = cups.find(
      (cup) =>
        cup.mix.role === 'medium' &&
        cup.mix.recipe.id === wanted &&
        cup.state.phase === 'mixed' &&
        cup.state.leftMg > 0,
    );
    if (!medium) continue;
    const parts = medium.mix.ingredients.flatMap(({ material }, index) => {
      const own =
        mix.ingredients.find((each) => each.material.materialId === material.materialId) ??
        mix.ingredients.find((each) => each.material.kind === material.kind);
      return own && own.targetMg > 0
        ? [{ ingredientId: own.id, contentsMg: medium.state.actualIngredientMg[index] ?? 0 }]
        : [];
    });
    const ids = parts.map((each) => each.ingredientId);
    const own = mix.ingredients.filter((each) => ids.includes(each.id));
    const weighedAlone = mix.additions.some(
      (each) => each.drawId === null && ids.includes(each.ingredientId),
    );
    if (own.length === 0 || parts.length < medium.mix.ingredients.length || weighedAlone) continue;
    return {
      id: `medium ${medium.mix.id}`,
      cupId: medium.mix.id,
      name: medium.mix.name,
      targetMg: own.reduce((sum, each) => sum + each.targetMg, 0),
      parts,
    };
  }
  return undefined;
}

/** The weighing steps of a cup, with the medium as one ingredient. */
export function stepsWithBatch(
  mix: Mix,
  batch: BatchedMedium | undefined,
  order?: StirringOrder,
): StepProgress[] {
  if (!batch) return stepProgress(mix.ingredients, mix.additions, order);
  const ids = batch.parts.map((each) => each.ingredientId);
  const drawn = new Map<string, number>();
  for (const { drawId, mg } of mix.additions) {
    if (drawId !== null) drawn.set(drawId, mg + (drawn.get(drawId) ?? 0));
  }
  return stepProgress(
    [
      { id: batch.id, role: 'medium', targetMg: batch.targetMg },
      ...mix.ingredients.filter((each) => !ids.includes(each.id)),
    ],
    [
      ...[...drawn.values()].map((mg) => ({ ingredientId: batch.id, mg })),
      ...mix.additions.filter((each) => each.drawId === null),
    ],
    order,
  );
}

/** A weight of the medium as whole milligrams of each ingredient it brings along, as it came out at the scale. */
export function splitBatch(batch: BatchedMedium, mg: number): { ingredientId: string; mg: number }[] {
  const shares = splitMg(
    mg,
    batch.parts.map((each) => each.contentsMg),
  );
  return batch.parts.map(({ ingredientId }, index) => ({ ingredientId, mg: shares[index] ?? 0 }));
}
