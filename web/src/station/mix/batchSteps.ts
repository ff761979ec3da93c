import type { Mix } from '@icy-ribbon/contract';
import { stepProgress, type StepProgress } from '@icy-ribbon/core/mix';
import { expand, type Recipe } from '@icy-ribbon/core/recipe';
import { splitMg } from '@icy-ribbon/core/unit';

/** A medium that was made for several cups at once and goes into this one as a whole. */
export interface BatchedMedium {
  readonly id: string;
  readonly name: string;
  /** The cup's ingredients that the medium brings along. */
  readonly ingredientIds: readonly string[];
  readonly targetMg: number;
}

/** The recipe inside a cup's recipe that was made as a batch, if there is one. */
export function batchedMedium(
  mix: Mix,
  findRecipe: (id: string) => Recipe | undefined,
  made: readonly string[],
): BatchedMedium | undefined {
  for (const part of findRecipe(mix.recipe.id)?.parts ?? []) {
    if (part.of.kind !== 'recipe' || !made.includes(part.of.recipe)) continue;
    const inner = findRecipe(part.of.recipe);
    if (!inner) continue;
    const kinds = expand(inner.parts, { findRecipe, densityOf: () => 1 }).map((each) =>
      each.of.kind === 'material' ? each.of.material : null,
    );
    const own = mix.ingredients.filter((each) => each.targetMg > 0 && kinds.includes(each.material.kind));
    if (own.length === 0) continue;
    return {
      id: `batch ${inner.id}`,
      name: inner.name,
      ingredientIds: own.map((each) => each.id),
      targetMg: own.reduce((sum, each) => sum + each.targetMg, 0),
    };
  }
  return undefined;
}

/** The weighing steps of a cup, with the batched medium as one ingredient. */
export function stepsWithBatch(mix: Mix, batch: BatchedMedium | undefined): StepProgress[] {
  if (!batch) return stepProgress(mix.ingredients, mix.additions);
  const [firstId] = batch.ingredientIds;
  const first = mix.ingredients.find((each) => each.id === firstId);
  const whole = first ? batch.targetMg / first.targetMg : 1;
  const others = mix.ingredients.filter((each) => !batch.ingredientIds.includes(each.id));
  return stepProgress(
    [{ id: batch.id, role: 'medium', targetMg: batch.targetMg }, ...others],
    mix.additions.flatMap((addition) => {
      if (addition.ingredientId === firstId) {
        return [{ ingredientId: batch.id, mg: Math.round(addition.mg * whole) }];
      }
      return batch.ingredientIds.includes(addition.ingredientId) ? [] : [addition];
    }),
  );
}

/** A weight of batched medium as whole milligrams of each ingredient it brings along. */
export function splitBatch(
  mix: Mix,
  batch: BatchedMedium,
  mg: number,
): { ingredientId: string; mg: number }[] {
  const targets = batch.ingredientIds.map(
    (id) => mix.ingredients.find((each) => each.id === id)?.targetMg ?? 0,
  );
  return splitMg(mg, targets).map((part, index) => ({
    ingredientId: batch.ingredientIds[index] ?? '',
    mg: part,
  }));
}
