import { InputError } from '../../base/error/index.ts';
import {
  composition,
  expected,
  thicknessOf,
  type Belief,
  type LearnedIngredient,
  type Thickness,
} from '../learn/index.ts';
import type { IngredientRole } from '../../paint/material/index.ts';
import { chanceInside } from '../../paint/stage/index.ts';
import { toG } from '../../base/unit/mass.ts';
import { safeStep, TOO_FAR_SHARE } from './safeStep.ts';

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

/** Within this of the target, in ln(viscosity), nothing need be added. */
export const THERE_LN = 0.1;
/** A cup is there when so much of what is believed of it lies in its window. */
export const SURE_SHARE = 0.8;
/** A step that covers less than this of the way is not worth stirring in: reading it again tells more. */
const LEAST_OF_THE_WAY = 0.1;
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
      /** What to stir in before looking again: as much of it as is safe. */
      readonly step: readonly AddedIngredient[];
      readonly after: Thickness;
      /** Chance that the step alone goes past the target by more than 15 %. */
      readonly overshoot: number;
      /** Why the target cannot be reached like this, if it cannot. */
      readonly limit: AdditionLimit | null;
    }
  /** Too little is known of the cup: it is to be read before anything is stirred in, or before it counts as there. */
  | {
      readonly kind: 'read';
      readonly now: Thickness;
      /** What reaches the target by the best guess; empty when it lies there. */
      readonly need: readonly AddedIngredient[];
    }
  | { readonly kind: 'stuck'; readonly now: Thickness; readonly because: Stuck };

/** Why nothing that can be added brings a cup to its target. */
export type Stuck = 'no-thinner' | 'no-stock' | 'thinner-too-thick' | 'stock-too-thin';

/** What forbids all that would be needed. */
export type AdditionLimit =
  /** Mass fractions of water: what it would hold and what it bears. */
  | { readonly code: 'water'; readonly water: number; readonly most: number }
  | { readonly code: 'capacity'; readonly wantedMl: number; readonly capacityMl: number };

export interface AdditionOptions {
  /** The ingredient to thin with; left out: water, else the cup's own thinner. */
  readonly thinnerId?: string | undefined;
  /** Where the cup counts as there; left out: within 15 % of the target. */
  readonly window?: { readonly thinPaS: number; readonly thickPaS: number } | undefined;
  /** Within this of the target, in ln(viscosity), nothing need be added. */
  readonly nearLn?: number;
  /** A cup that stays as it is: only the difference to it has to be known, as a race tells it. */
  readonly against?: MatchCup | undefined;
}

/**
 * The next thing to stir into a cup on its way to a thickness: the largest step that is safe, or that it has to
 * be read first.
 *
 * Law: the log-additive mixing with what was learned of the cup's materials, solved for the added mass, and
 * `safeStep` on it. A cup that is too thin gets its own medium and paint in the recipe's proportion. It is
 * there when 80 % of what is believed of it lies in the window (common practice).
 *
 * @throws InputError naming "targetPaS"
 */
export function nextAddition(
  belief: Belief,
  cup: MatchCup,
  targetPaS: number,
  options: AdditionOptions = {},
): NextAddition {
  if (!(targetPaS > 0)) throw new InputError('targetPaS', 'The target viscosity must be above 0.');
  const look = lookOf(belief, cup, options.against);
  const now = look(cup.contentsMg);
  const off = Math.log(now.viscosityPaS / targetPaS);
  const isSure = chanceInside(now, options.window ?? nearTo(targetPaS)) >= SURE_SHARE;
  if (Math.abs(off) <= (options.nearLn ?? THERE_LN))
    return isSure ? { kind: 'there', now } : { kind: 'read', now, need: [] };
  const kind = off > 0 ? 'thin' : 'thicken';
  const shares = kind === 'thin' ? thinnerShares(cup, options.thinnerId) : stockShares(cup);
  if (!shares) {
    return { kind: 'stuck', now, because: kind === 'thin' ? 'no-thinner' : 'no-stock' };
  }
  const needMg = solve(look, cup, shares, targetPaS);
  if (needMg === undefined) {
    return { kind: 'stuck', now, because: kind === 'thin' ? 'thinner-too-thick' : 'stock-too-thin' };
  }
  const need = added(cup, shares, needMg);
  const limit = limitOf(cup, shares, needMg);
  const outlook = (mg: number) => lnOf(look(plus(cup.contentsMg, shares, mg)));
  const safe = safeStep(outlook, Math.log(targetPaS), needMg);
  const stepMg = Math.floor(safe?.mg ?? 0);
  const covered = Math.abs(outlook(0).mean - outlook(stepMg).mean) / Math.abs(off);
  if (!safe || stepMg < LEAST_MG || covered < LEAST_OF_THE_WAY) {
    return isSure ? { kind: 'there', now } : { kind: 'read', now, need };
  }
  return {
    kind,
    now,
    need,
    step: added(cup, shares, stepMg),
    after: look(plus(cup.contentsMg, shares, stepMg)),
    overshoot: safe.overshoot,
    limit,
  };
}

/** How thick a cup is, or would be, that holds this. */
type Look = (contentsMg: readonly number[]) => Thickness;

/** By itself; or, beside a cup that stays as it is, as surely as its difference to that cup is known. */
function lookOf(belief: Belief, cup: MatchCup, against: MatchCup | undefined): Look {
  const alone: Look = (contentsMg) => thicknessOf(belief, cup.ingredients, contentsMg);
  if (!against) return alone;
  const other = composition(against.ingredients, against.contentsMg).weights;
  return (contentsMg) => {
    const own = composition(cup.ingredients, contentsMg).weights;
    const names = new Set([...Object.keys(own), ...Object.keys(other)]);
    const difference = Object.fromEntries(
      [...names].map((name) => [name, (own[name] ?? 0) - (other[name] ?? 0)]),
    );
    return { ...alone(contentsMg), spreadLn: expected(belief, difference).sd };
  };
}

const lnOf = ({ viscosityPaS, spreadLn }: Thickness) => ({ mean: Math.log(viscosityPaS), sd: spreadLn });

/** Where a cup that is to have a thickness counts as having it. */
const nearTo = (targetPaS: number) => ({
  thinPaS: targetPaS / (1 + TOO_FAR_SHARE),
  thickPaS: targetPaS * (1 + TOO_FAR_SHARE),
});

/** Only what it is thinned with: water goes first, but varnish where the paint is fluid (common practice). */
function thinnerShares(cup: MatchCup, thinnerId: string | undefined): number[] | undefined {
  const isFluid = cup.ingredients.some(({ material }) => material.kind === 'fluid');
  const usual = isFluid ? (['thinner', 'water'] as const) : (['water', 'thinner'] as const);
  const chosen =
    cup.ingredients.find((each) => each.id === thinnerId) ??
    cup.ingredients.find((each) => each.role === usual[0]) ??
    cup.ingredients.find((each) => each.role === usual[1]);
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
function solve(look: Look, cup: MatchCup, shares: readonly number[], targetPaS: number): number | undefined {
  const total = cup.contentsMg.reduce((sum, mg) => sum + mg, 0);
  const off = (mg: number) => Math.log(look(plus(cup.contentsMg, shares, mg)).viscosityPaS / targetPaS);
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
