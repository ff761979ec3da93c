import type { Belief } from './belief.ts';
import { thicknessOf, type Thickness } from './learn.ts';
import type { LearnedIngredient } from './composition.ts';

export interface ResponsePoint extends Thickness {
  /** Share of the thinner in the whole mix. */
  readonly share: number;
}

/**
 * How a cup answers to its thinner: thickness against the thinner's share, all else in the cup as it is.
 *
 * @param thinnerIndex which ingredient is the thinner; @param toShare up to which share, below 1
 */
export function responseCurve(
  belief: Belief,
  ingredients: readonly LearnedIngredient[],
  contentsMg: readonly number[],
  thinnerIndex: number,
  toShare = 0.5,
  steps = 40,
): ResponsePoint[] {
  const rest = contentsMg.reduce((sum, mg, at) => sum + (at === thinnerIndex ? 0 : mg), 0);
  if (rest <= 0) return [];
  return Array.from({ length: steps + 1 }, (_, step) => {
    const share = (toShare * step) / steps;
    const thinner = (rest * share) / (1 - share);
    const mg = contentsMg.map((each, at) => (at === thinnerIndex ? thinner : each));
    return { share, ...thicknessOf(belief, ingredients, mg) };
  });
}
