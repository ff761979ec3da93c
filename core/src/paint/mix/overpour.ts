import { toG, toMg } from '../../base/unit/mass.ts';
import type { CupRecord, CupState } from './cup.ts';
import { bringUp, takeOutAndBringUp } from './repair.ts';

/** More than this above its target, and more than a scale's error, counts as over-poured. */
const OVER_SHARE = 0.03;
const SCALE_ERROR_MG = 100;
/** Shares are restored to within this of the recipe. */
const TOLERANCE = 0.02;

export interface OverPour {
  /** The ingredient that ran over most, and by how much. */
  readonly ingredientIndex: number;
  readonly overMg: number;
  /** New targets that bring the whole cup up to the recipe, and what is still to be added for them. */
  readonly bringUp: {
    readonly targetsMg: readonly number[];
    readonly addMg: readonly number[];
    readonly totalMg: number;
  };
  /** Targets that accept the cup as it is. */
  readonly keep: { readonly targetsMg: readonly number[] };
  /** Take so much out of the stirred cup first, then bring the rest up to the total that was planned. */
  readonly takeOut: { readonly mg: number; readonly targetsMg: readonly number[] };
}

/**
 * Whether something ran over, and the choices there are: nothing can be taken out of a cup but a share
 * of all that is in it.
 *
 * @returns `undefined` while every ingredient is within 3 % of its target or below it
 */
export function overPour(cup: CupRecord, state: CupState): OverPour | undefined {
  const inMg = state.actualIngredientMg;
  const overs = cup.ingredients.map((each, index) =>
    each.targetMg > 0 && (inMg[index] ?? 0) > each.targetMg * (1 + OVER_SHARE) + SCALE_ERROR_MG
      ? (inMg[index] ?? 0) - each.targetMg
      : 0,
  );
  const overMg = Math.max(...overs);
  if (overMg <= 0) return undefined;
  const planned = cup.ingredients.map((each) => each.targetMg);
  const parts = cup.ingredients
    .map((each, index) => ({ index, inG: toG(inMg[index] ?? 0), share: each.targetMg / state.targetMg }))
    .filter((part) => part.share > 0);
  const spread = (grams: readonly number[]): number[] =>
    planned.map((_, index) => {
      const at = parts.findIndex((part) => part.index === index);
      return at < 0 ? (inMg[index] ?? 0) : toMg(grams[at] ?? 0);
    });
  const whole = bringUp(parts, TOLERANCE);
  const wholeTargets = spread(whole.addG.map((add, at) => add + (parts[at]?.inG ?? 0)));
  const part = takeOutAndBringUp(parts, toG(state.targetMg), TOLERANCE);
  const keptShare = 1 - part.takeOutG / toG(state.actualMg);
  return {
    ingredientIndex: overs.indexOf(overMg),
    overMg,
    bringUp: {
      targetsMg: wholeTargets,
      addMg: wholeTargets.map((target, index) => Math.max(0, target - (inMg[index] ?? 0))),
      totalMg: wholeTargets.reduce((sum, mg) => sum + mg, 0),
    },
    keep: { targetsMg: planned.map((target, index) => Math.max(target, inMg[index] ?? 0)) },
    takeOut: {
      mg: toMg(part.takeOutG),
      targetsMg: spread(part.repair.addG.map((add, at) => add + (parts[at]?.inG ?? 0) * keptShare)),
    },
  };
}
