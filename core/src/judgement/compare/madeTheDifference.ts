import { withoutDrift } from '../../base/statistics/index.ts';
import { CAUSES, findQuantity, type Quantity } from './quantities.ts';

/** Numbers of one pour by the key of the quantity. */
export type PourNumbers = Readonly<Record<string, number | null>>;

/** What one cause did to the effect. */
export interface Influence {
  readonly cause: Quantity;
  /** Causes that changed together with it: any of them may have done it. */
  readonly alike: readonly Quantity[];
  /** Change of the cause that a hand would make: by so much, or by this factor where ratios count. */
  readonly step: number;
  /** What the effect does at that step, in its own unit: likeliest, and between. */
  readonly change: number;
  readonly low: number;
  readonly high: number;
}

export type DifferenceAnswer =
  | {
      readonly kind: 'found';
      readonly n: number;
      /** How many causes were looked at. */
      readonly looked: number;
      /** In the order in which they were found. */
      readonly influences: readonly Influence[];
    }
  | { readonly kind: 'silent'; readonly n: number; readonly why: Silence };

/** Why nothing can be said; `web/words/difference` says it. */
export type Silence = 'too-few' | 'no-spread' | 'nothing-varied' | 'nothing-stands-out';

export const LEAST_POURS = 8;
const MOST_MISSING = 0.2;

/**
 * Which recorded causes went with an effect, over the artist's own pours, by `withoutDrift`: thickness and lengths
 * by their logarithms, and what changed with time anyway taken out first. It says nothing when there are too few pours, when nothing was varied, or when nothing goes with
 * the effect beyond chance. Association, not proof: what always changed together is named together.
 *
 * @param pours in the order in which they were poured
 */
export function madeTheDifference(pours: readonly PourNumbers[], effect: Quantity): DifferenceAnswer {
  const seen = withEffect(pours, effect);
  const n = seen.length;
  if (n < LEAST_POURS) return { kind: 'silent', n, why: 'too-few' };
  const y = effectValues(seen, effect);
  if (Math.max(...y) - Math.min(...y) < 1e-9) return { kind: 'silent', n, why: 'no-spread' };
  const columns = CAUSES.map((cause) => columnOf(cause, seen)).filter((column) => column !== undefined);
  if (columns.length === 0) return { kind: 'silent', n, why: 'nothing-varied' };
  const found = withoutDrift(y, columns);
  if (found.length === 0) return { kind: 'silent', n, why: 'nothing-stands-out' };
  const middle = medianOf(y);
  const influences = found.map(({ names: [name, ...others], slope, low, high }): Influence => {
    const cause = findQuantity(name!)!;
    const { values } = columns.find((column) => column.name === name)!;
    const step = stepOf(cause, values);
    const along = cause.isRatio ? Math.log(step) : step;
    const changes = [slope, low, high].map((each) => effectOf(effect, middle, each * along));
    const [change, one, other] = changes as [number, number, number];
    return {
      cause,
      alike: others.map((each) => findQuantity(each)!),
      ...{ step, change, low: Math.min(one, other), high: Math.max(one, other) },
    };
  });
  return { kind: 'found', n, looked: columns.length, influences };
}

/** Pours in which the effect was measured. */
export const withEffect = (pours: readonly PourNumbers[], effect: Quantity): PourNumbers[] =>
  pours.filter((pour) => typeof pour[effect.key] === 'number');

export const effectValues = (pours: readonly PourNumbers[], effect: Quantity): number[] =>
  pours.map((pour) => scaled(effect, pour[effect.key]!));

/** The number as it is compared: its logarithm where ratios count. */
export const scaled = (quantity: Quantity, value: number): number =>
  quantity.isRatio ? Math.log(Math.max(1e-9, value)) : value;

/** A cause that was recorded nearly always and varied; missing numbers stand at the mean. */
export function columnOf(
  cause: Quantity,
  pours: readonly PourNumbers[],
): { readonly name: string; readonly values: readonly number[] } | undefined {
  const given = pours
    .map((pour) => pour[cause.key])
    .filter((value) => typeof value === 'number')
    .map((value) => scaled(cause, value));
  if (given.length < (1 - MOST_MISSING) * pours.length) return undefined;
  if (new Set(given.map((value) => value.toFixed(6))).size < 3) return undefined;
  const mean = given.reduce((sum, value) => sum + value, 0) / given.length;
  const values = pours.map((pour) => {
    const value = pour[cause.key];
    return typeof value === 'number' ? scaled(cause, value) : mean;
  });
  return { name: cause.key, values };
}

/** Steps that a person pictures; the largest that the pours themselves went. */
const FACTORS = [2, 1.5, 1.25, 1.1];
const DIFFERENCES = [100, 50, 20, 10, 5, 2, 1, 0.5, 0.2, 0.1, 0.05, 0.02, 0.01];

function stepOf(cause: Quantity, values: readonly number[]): number {
  const range = Math.max(...values) - Math.min(...values);
  const steps = cause.isRatio ? FACTORS : DIFFERENCES;
  const asRange = (step: number) => (cause.isRatio ? Math.log(step) : step);
  return steps.find((step) => asRange(step) <= range) ?? steps.at(-1)!;
}

/** What the effect does in its own unit when its scaled number moves, from the middle of the pours. */
const effectOf = (effect: Quantity, middle: number, moved: number): number =>
  effect.isRatio ? Math.exp(middle + moved) - Math.exp(middle) : moved;

function medianOf(values: readonly number[]): number {
  const sorted = [...values].sort((a, b) => a - b);
  const half = (sorted.length - 1) / 2;
  return (sorted[Math.floor(half)]! + sorted[Math.ceil(half)]!) / 2;
}
