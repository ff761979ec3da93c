import { InputError } from '../../base/error/index.ts';
import { thicknessOf, type Belief, type LearnedIngredient, type Thickness } from '../learn/index.ts';
import type { IngredientRole } from '../../paint/material/index.ts';
import { THINNING_STEP } from '../../paint/mix/index.ts';
import { normalBelow } from '../../base/statistics/index.ts';
import { toG, toMg } from '../../base/unit/mass.ts';

/** An ingredient of a cup that can be added to. */
export interface MatchIngredient extends LearnedIngredient {
  readonly id: string;
  readonly role: IngredientRole;
  /** Its share in the recipe. */
  readonly share: number;
  readonly material: LearnedIngredient['material'] & {
    readonly densityGPerMl: number;
    readonly name: string;
  };
}

/** A cup that is to be brought to a thickness by additions only. */
export interface MatchCup {
  readonly id: string;
  readonly name: string;
  readonly ingredients: readonly MatchIngredient[];
  readonly contentsMg: readonly number[];
  readonly capacityMl: number;
  /** Water the mix bears, as a mass fraction. */
  readonly waterLimit: number;
}

/** Within this of the target, in ln(viscosity), a cup counts as there: what a race can tell apart. */
export const THERE_LN = 0.12;
/** A cup is filled at most to this share, so that it can be stirred. */
const STIRRABLE_SHARE = 0.97;
/** Less than this is not worth a step. */
const LEAST_MG = 50;

export interface AddedIngredient {
  readonly ingredientId: string;
  readonly name: string;
  readonly mg: number;
}

export type NextAddition =
  | { readonly kind: 'there'; readonly now: Thickness }
  | {
      readonly kind: 'thin' | 'thicken';
      readonly now: Thickness;
      /** What reaches the target, by the best guess. */
      readonly need: readonly AddedIngredient[];
      /** What to stir in before looking again: 80 % of it. */
      readonly step: readonly AddedIngredient[];
      readonly after: Thickness;
      /** Chance that the step alone goes past the target by more than a race can tell. */
      readonly overshoot: number;
      /** Why the target cannot be reached like this, if it cannot. */
      readonly limit: AdditionLimit | null;
    }
  | { readonly kind: 'stuck'; readonly now: Thickness; readonly because: Stuck };

/** Why nothing that can be added brings a cup to its target. */
export type Stuck = 'no-thinner' | 'no-stock' | 'thinner-too-thick' | 'stock-too-thin';

/** What forbids all that would be needed. */
export type AdditionLimit =
  /** Mass fractions of water: what it would hold and what it bears. */
  | { readonly code: 'water'; readonly water: number; readonly most: number }
  | { readonly code: 'capacity'; readonly wantedMl: number; readonly capacityMl: number };

/**
 * The next thing to stir into a cup on its way to a thickness.
 *
 * Law: the log-additive mixing with what was learned of the cup's materials, solved for the added mass;
 * the step is 80 % of it, since nothing can be taken out again (common practice). A cup that is too thin
 * gets its own medium and paint in the recipe's proportion.
 *
 * @param options.thinnerId the ingredient to thin with; left out: water, else the cup's own thinner
 * @throws InputError naming "targetPaS"
 */
export function nextAddition(
  belief: Belief,
  cup: MatchCup,
  targetPaS: number,
  options: { readonly thinnerId?: string | undefined } = {},
): NextAddition {
  if (!(targetPaS > 0)) throw new InputError('targetPaS', 'The target viscosity must be above 0.');
  const now = thicknessOf(belief, cup.ingredients, cup.contentsMg);
  const off = Math.log(now.viscosityPaS / targetPaS);
  if (Math.abs(off) <= THERE_LN) return { kind: 'there', now };
  const kind = off > 0 ? 'thin' : 'thicken';
  const shares = kind === 'thin' ? thinnerShares(cup, options.thinnerId) : stockShares(cup);
  if (!shares) {
    return { kind: 'stuck', now, because: kind === 'thin' ? 'no-thinner' : 'no-stock' };
  }
  const needMg = solve(belief, cup, shares, targetPaS);
  if (needMg === undefined) {
    return { kind: 'stuck', now, because: kind === 'thin' ? 'thinner-too-thick' : 'stock-too-thin' };
  }
  const stepMg = toMg(THINNING_STEP * toG(needMg));
  const after = thicknessOf(belief, cup.ingredients, plus(cup.contentsMg, shares, stepMg));
  const past = Math.log(targetPaS) + (kind === 'thin' ? -THERE_LN : THERE_LN);
  const below = normalBelow(past, Math.log(after.viscosityPaS), after.spreadLn);
  return {
    kind: needMg < LEAST_MG ? 'there' : kind,
    now,
    need: added(cup, shares, needMg),
    step: added(cup, shares, stepMg),
    after,
    overshoot: kind === 'thin' ? below : 1 - below,
    limit: limitOf(cup, shares, needMg),
  };
}

/** Only what it is thinned with. */
function thinnerShares(cup: MatchCup, thinnerId: string | undefined): number[] | undefined {
  const chosen =
    cup.ingredients.find((each) => each.id === thinnerId) ??
    cup.ingredients.find((each) => each.role === 'water') ??
    cup.ingredients.find((each) => each.role === 'thinner');
  return chosen && cup.ingredients.map((each) => (each === chosen ? 1 : 0));
}

/** The recipe without what thins it. */
function stockShares(cup: MatchCup): number[] | undefined {
  const stock = cup.ingredients.map((each) =>
    each.role === 'water' || each.role === 'thinner' ? 0 : each.share,
  );
  const total = stock.reduce((sum, share) => sum + share, 0);
  return total > 0 ? stock.map((share) => share / total) : undefined;
}

const plus = (contents: readonly number[], shares: readonly number[], mg: number): number[] =>
  contents.map((each, at) => each + (shares[at] ?? 0) * mg);

/** Milligrams to add, by bisection on the best guess; `undefined` when no amount gets there. */
function solve(
  belief: Belief,
  cup: MatchCup,
  shares: readonly number[],
  targetPaS: number,
): number | undefined {
  const total = cup.contentsMg.reduce((sum, mg) => sum + mg, 0);
  const off = (mg: number) =>
    Math.log(thicknessOf(belief, cup.ingredients, plus(cup.contentsMg, shares, mg)).viscosityPaS / targetPaS);
  const start = Math.sign(off(0));
  let high = total / 64;
  while (Math.sign(off(high)) === start) {
    high *= 2;
    if (high > 64 * total) return undefined;
  }
  let low = high / 2 > total / 64 ? high / 2 : 0;
  for (let step = 0; step < 50 && high - low > 0.5; step += 1) {
    const middle = (low + high) / 2;
    if (Math.sign(off(middle)) === start) low = middle;
    else high = middle;
  }
  return Math.round((low + high) / 2);
}

function added(cup: MatchCup, shares: readonly number[], mg: number): AddedIngredient[] {
  return cup.ingredients.flatMap(({ id, material }, at) => {
    const own = Math.round((shares[at] ?? 0) * mg);
    return own > 0 ? [{ ingredientId: id, name: material.name, mg: own }] : [];
  });
}

function limitOf(cup: MatchCup, shares: readonly number[], mg: number): AdditionLimit | null {
  const then = plus(cup.contentsMg, shares, mg);
  const total = then.reduce((sum, each) => sum + each, 0);
  const share = (at: number) => (then[at] ?? 0) / total;
  const water = cup.ingredients.reduce((sum, each, at) => sum + (each.role === 'water' ? share(at) : 0), 0);
  const thinsWithWater = cup.ingredients.some((each, at) => each.role === 'water' && (shares[at] ?? 0) > 0);
  if (thinsWithWater && water > cup.waterLimit) {
    return { code: 'water', water, most: cup.waterLimit };
  }
  const volumeMl = cup.ingredients.reduce(
    (sum, { material }, at) => sum + toG(then[at] ?? 0) / material.densityGPerMl,
    0,
  );
  if (volumeMl > STIRRABLE_SHARE * cup.capacityMl) {
    return { code: 'capacity', wantedMl: volumeMl, capacityMl: cup.capacityMl };
  }
  return null;
}
