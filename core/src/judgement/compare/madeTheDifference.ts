import { ridge, studentT, type Ridge } from '../../base/statistics/index.ts';
import { CAUSES, type Quantity } from './quantities.ts';

/** Numbers of one pour by the key of the quantity. */
export type PourNumbers = Readonly<Record<string, number | null>>;

/** What one cause did to the effect. */
export interface Influence {
  readonly cause: Quantity;
  /** Standard deviations of the effect for one of the cause. */
  readonly strength: number;
  readonly low: number;
  readonly high: number;
  /** Whether the interval leaves no doubt about the direction. */
  readonly isSure: boolean;
}

export type DifferenceAnswer =
  | {
      readonly kind: 'found';
      readonly n: number;
      /** Share of the spread foretold for pours left out. */
      readonly predictedShare: number;
      /** Strongest first. */
      readonly influences: readonly Influence[];
      readonly fit: DifferenceFit;
    }
  | { readonly kind: 'silent'; readonly n: number; readonly why: Silence };

/** Why nothing can be said; `web/words/difference` says it. */
export type Silence = 'too-few' | 'no-spread' | 'nothing-varied' | 'nothing-predicts';

/** What a next test is chosen by. */
export interface DifferenceFit {
  readonly causes: readonly Quantity[];
  readonly middles: readonly number[];
  readonly spreads: readonly number[];
  readonly ridge: Ridge;
}

export const LEAST_POURS = 8;
const MOST_MISSING = 0.2;
const POURS_PER_CAUSE = 3;
const LEAST_FORETOLD = 0.1;
const CONFIDENCE = 0.95;

/**
 * Which recorded causes went with an effect, over the artist's own pours: ridge regression of standardized
 * numbers, thickness and lengths by their logarithms, with 90 % intervals. It says nothing when there are
 * too few pours, when nothing was varied, or when the fit foretells a pour it has not seen hardly better
 * than the average does. Association, not proof: what always changed together cannot be told apart.
 */
export function madeTheDifference(pours: readonly PourNumbers[], effect: Quantity): DifferenceAnswer {
  const seen = pours.filter((pour) => typeof pour[effect.key] === 'number');
  const n = seen.length;
  if (n < LEAST_POURS) {
    return { kind: 'silent', n, why: 'too-few' };
  }
  const y = standardized(seen.map((pour) => scaled(effect, pour[effect.key]!)));
  if (y.spread < 1e-9) return { kind: 'silent', n, why: 'no-spread' };
  const columns = CAUSES.map((cause) => columnOf(cause, seen))
    .filter((column) => column !== undefined)
    .map((column) => ({ ...column, weight: Math.abs(correlation(column.values, y.values)) }))
    .sort((a, b) => b.weight - a.weight);
  const kept = columns.slice(0, Math.max(1, Math.floor(n / POURS_PER_CAUSE)));
  if (kept.length === 0) return { kind: 'silent', n, why: 'nothing-varied' };
  const rows = y.values.map((_, row) => kept.map((column) => column.values[row]!));
  const fit = ridge(rows, y.values);
  if (fit.predictedShare < LEAST_FORETOLD) {
    return { kind: 'silent', n, why: 'nothing-predicts' };
  }
  const t = studentT(CONFIDENCE, Math.max(2, n - fit.used));
  const influences = kept
    .map(({ cause }, index): Influence => {
      const strength = fit.coefficients[index]!;
      const error = t * Math.sqrt(fit.covariance[index]![index]!);
      return {
        cause,
        strength,
        low: strength - error,
        high: strength + error,
        isSure: Math.abs(strength) > error,
      };
    })
    .sort((a, b) => Number(b.isSure) - Number(a.isSure) || Math.abs(b.strength) - Math.abs(a.strength));
  return {
    kind: 'found',
    n,
    predictedShare: fit.predictedShare,
    influences,
    fit: {
      causes: kept.map(({ cause }) => cause),
      middles: kept.map(({ middle }) => middle),
      spreads: kept.map(({ spread }) => spread),
      ridge: fit,
    },
  };
}

/** The number as it is compared: its logarithm where ratios count. */
export const scaled = (quantity: Quantity, value: number): number =>
  quantity.isRatio ? Math.log(Math.max(1e-9, value)) : value;

/** A cause that was recorded nearly always and varied; missing numbers stand at the mean. */
function columnOf(cause: Quantity, pours: readonly PourNumbers[]) {
  const given = pours.map((pour) => pour[cause.key]).filter((value) => typeof value === 'number');
  if (given.length < (1 - MOST_MISSING) * pours.length) return undefined;
  const { middle, spread } = standardized(given.map((value) => scaled(cause, value)));
  if (spread < 1e-6 || new Set(given.map((value) => value.toFixed(6))).size < 3) return undefined;
  const values = pours.map((pour) => {
    const value = pour[cause.key];
    return typeof value === 'number' ? (scaled(cause, value) - middle) / spread : 0;
  });
  return { cause, middle, spread, values };
}

function standardized(values: readonly number[]) {
  const middle = values.reduce((sum, value) => sum + value, 0) / values.length;
  const squares = values.reduce((sum, value) => sum + (value - middle) ** 2, 0);
  const spread = Math.sqrt(squares / Math.max(1, values.length - 1));
  return { middle, spread, values: values.map((value) => (value - middle) / (spread || 1)) };
}

function correlation(a: readonly number[], b: readonly number[]): number {
  return a.reduce((sum, value, index) => sum + value * b[index]!, 0) / Math.max(1, a.length - 1);
}
