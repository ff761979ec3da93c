import { seededRandom } from '../random/index.ts';
import { leastSquares } from './leastSquares.ts';
import { studentT } from './quantiles.ts';

/** One thing that may have made a difference, with its number for each case. */
export interface Candidate {
  readonly name: string;
  readonly values: readonly number[];
}

/** A candidate that went with the effect beyond chance. */
export interface Chosen {
  /** The one that went with it most, and those that cannot be told apart from it. */
  readonly names: readonly string[];
  /** Of the effect for one of the first named, with what else was chosen held still. */
  readonly slope: number;
  readonly low: number;
  readonly high: number;
}

/** The chance of naming a cause where none is. */
export const FALSE_ALARM = 0.1;
/** Candidates that correlate beyond this are one that cannot be told apart. */
export const SAME_BEYOND = 0.75;
/** So many cases are asked for each cause that is named. */
const CASES_PER_CAUSE = 4;
const PERMUTATIONS = 999;
/**
 * Over many cases, what permutations reach is normal (the combinatorial central limit theorem, Hoeffding 1951, from
 * memory), and beyond six of its deviations lie two of a billion: none of 999 comes there.
 */
const MANY_CASES = 200;
const FAR_BEYOND = 6;
const SEED = 20_26;

/**
 * Which candidates went with an effect: forward selection, each step held against chance.
 *
 * Law: at each step the candidate of the largest |r| with what is left of the effect, both without what was chosen
 * before, is taken if fewer than 10 % of the effect's permutations reach as large an |r| with any candidate; then least
 * squares on what was chosen; its Student's t intervals are shared out by Bonferroni over all candidates, for the one
 * that was chosen stood out by chance too (90 % together). Standard
 * statistics; choosing by correlation first and testing afterwards named a cause in 44 % of cases without any.
 *
 * @param effect one number a case; @param candidates as many numbers each
 * @returns in the order chosen; those whose interval holds 0 are left out
 */
export function forwardSelection(effect: readonly number[], candidates: readonly Candidate[]): Chosen[] {
  const cases = effect.length;
  const random = seededRandom(SEED);
  const chosen: Candidate[][] = [];
  let open = candidates
    .map(({ name, values }) => ({ name, values, rest: centered(values) }))
    .filter(({ rest }) => lengthOf(rest) > 1e-9 * (1 + Math.max(...rest.map(Math.abs))));
  let rest = centered(effect);
  if (lengthOf(rest) === 0) return [];
  while (open.length > 0 && chosen.length < Math.floor(cases / CASES_PER_CAUSE)) {
    const units = open.map((each) => unit(each.rest));
    const strengths = units.map((each) => Math.abs(dot(each, rest)));
    const strongest = strengths.indexOf(Math.max(...strengths));
    if (!isBeyondChance(strengths[strongest]!, rest, units, random)) break;
    const found = open[strongest]!;
    const isAlike = (each: (typeof open)[number]) =>
      Math.abs(correlation(each.values, found.values)) > SAME_BEYOND;
    chosen.push([found, ...open.filter((each) => each !== found && isAlike(each))]);
    const axis = units[strongest]!;
    rest = without(rest, axis);
    open = open
      .filter((each) => each !== found && !isAlike(each))
      .map((each) => ({ ...each, rest: without(each.rest, axis) }))
      .filter((each) => lengthOf(each.rest) > 1e-6 * lengthOf(centered(each.values)));
  }
  return chosen.length === 0 ? [] : fitted(effect, chosen, candidates.length);
}

/** Whether few enough permutations of the effect reach as much with any candidate; no more are tried than decide it. */
function isBeyondChance(
  strength: number,
  rest: readonly number[],
  units: readonly (readonly number[])[],
  random: () => number,
): boolean {
  const cases = rest.length;
  if (cases >= MANY_CASES && strength * Math.sqrt(cases - 1) > FAR_BEYOND * lengthOf(rest)) return true;
  const most = FALSE_ALARM * (PERMUTATIONS + 1);
  const shuffled = Float64Array.from(rest);
  const axes = units.map((each) => Float64Array.from(each));
  let asStrong = 1;
  for (let round = 0; round < PERMUTATIONS; round += 1) {
    for (let at = shuffled.length - 1; at > 0; at -= 1) {
      const other = Math.floor(random() * (at + 1));
      [shuffled[at], shuffled[other]] = [shuffled[other]!, shuffled[at]!];
    }
    if (axes.some((each) => Math.abs(dot(each, shuffled)) >= strength)) asStrong += 1;
    if (asStrong > most) return false;
  }
  return true;
}

function fitted(
  effect: readonly number[],
  chosen: readonly (readonly Candidate[])[],
  looked: number,
): Chosen[] {
  const rows = effect.map((_, row) => [1, ...chosen.map(([first]) => first!.values[row]!)]);
  const { coefficients, standardErrors } = leastSquares(rows, effect);
  const t = (chances: number) => studentT(1 - FALSE_ALARM / 2 / chances, effect.length - chosen.length - 1);
  return chosen.flatMap((alike, index): Chosen[] => {
    const slope = coefficients[index + 1]!;
    const error = standardErrors[index + 1]!;
    if (Math.abs(slope) <= t(chosen.length) * error) return [];
    const names = alike.map(({ name }) => name);
    // What stands out by chance is chosen as well: the range allows for all that were looked at.
    const reach = t(looked) * error;
    return [{ names, slope, low: slope - reach, high: slope + reach }];
  });
}

function centered(values: readonly number[]): number[] {
  const mean = values.reduce((sum, value) => sum + value, 0) / values.length;
  return values.map((value) => value - mean);
}

const dot = (a: ArrayLike<number>, b: ArrayLike<number>): number => {
  let sum = 0;
  for (let at = 0; at < a.length; at += 1) sum += a[at]! * b[at]!;
  return sum;
};
const lengthOf = (values: readonly number[]): number => Math.sqrt(dot(values, values));
function unit(values: readonly number[]): number[] {
  const length = lengthOf(values);
  return values.map((value) => value / length);
}

/** What is left of some numbers beside a direction of length 1. */
function without(values: readonly number[], axis: readonly number[]): number[] {
  const along = dot(values, axis);
  return values.map((value, at) => value - along * axis[at]!);
}

/**
 * How closely two rows of numbers go together, from -1 to 1 (Pearson).
 *
 * @example correlation([1, 2, 3], [2, 4, 6]) // 1
 */
export function correlation(a: readonly number[], b: readonly number[]): number {
  const [x, y] = [centered(a), centered(b)];
  const both = lengthOf(x) * lengthOf(y);
  return both > 0 ? dot(x, y) / both : 0;
}
