import { leastSquares, normalBelow, studentT } from '../../base/statistics/index.ts';
import {
  columnOf,
  effectValues,
  LEAST_POURS,
  scaled,
  withEffect,
  type DifferenceAnswer,
  type PourNumbers,
} from './madeTheDifference.ts';
import { findQuantity, type Quantity } from './quantities.ts';

/** One change worth trying. */
export interface NextTest {
  readonly cause: Quantity;
  readonly from: number;
  readonly to: number;
  /** Why its answer is not known: it was never varied, or what it does is still open. */
  readonly because: 'never-varied' | 'open';
  /** Chance, 0 to 1, that it moves the effect by more than a quarter of its usual spread. */
  readonly couldMatter: number;
}

/** What an artist can change on purpose, and the factor to change it by. The room and how a spinner happens to turn can't be chosen. */
const CAN_CHANGE: Readonly<Record<string, number>> = {
  activatorShare: 1.4,
  colorPaS: 1.25,
  activatorRatio: 0.75,
  distanceMm: 1.4,
  slantDeg: 1.4,
  airSeconds: 1.4,
  waitSeconds: 2,
  groundG: 1.25,
  colorG: 1.25,
  groundRatio: 1.25,
};

/** What a change can do before anything is known, in spreads of the effect. */
const PRIOR_SD = 0.5;
/** What counts: a quarter of the effect's usual spread. */
const MATTERS_SD = 0.25;
/** A cause that matters with less chance than this is inert, one whose direction is surer than that is settled. */
const INERT_BELOW = 0.15;
const SETTLED_Z = 1.645;

/**
 * The one change to a pour whose answer is not known yet and could matter.
 *
 * Law: what each change would do, in spreads of the effect: a normal prior (0 ± 0.5) joined with least squares on it and
 * on the causes that were found; the widest answer that is neither inert (at most 15 % chance of a quarter spread) nor
 * settled (its direction 95 % sure). Bayesian linear regression, standard statistics; the limits are the product's own.
 */
export function nextTest(
  pours: readonly PourNumbers[],
  effect: Quantity,
  answer: DifferenceAnswer,
  from: PourNumbers,
): NextTest | undefined {
  const seen = withEffect(pours, effect);
  if (seen.length < LEAST_POURS) return undefined;
  const y = effectValues(seen, effect);
  const spread = sdOf(y);
  if (spread < 1e-9) return undefined;
  const found = answer.kind === 'found' ? answer.influences.map(({ cause }) => cause.key) : [];
  let best: (NextTest & { readonly sd: number }) | undefined;
  for (const [key, factor] of Object.entries(CAN_CHANGE)) {
    const now = from[key];
    if (typeof now !== 'number' || now <= 0) continue;
    const cause = findQuantity(key)!;
    const to = key === 'slantDeg' ? Math.min(90, now * factor) : now * factor;
    if (to === now) continue;
    const step = scaled(cause, to) - scaled(cause, now);
    const known = effectOfStep(seen, y, cause, found, step / spread);
    const { mean, sd } = joined(known);
    const couldMatter = 1 - normalBelow(MATTERS_SD, mean, sd) + normalBelow(-MATTERS_SD, mean, sd);
    const isSettled = found.includes(key) || Math.abs(mean) > SETTLED_Z * sd;
    if (isSettled || couldMatter < INERT_BELOW) continue;
    if (!best || sd > best.sd + 1e-9) {
      best = { cause, from: now, to, because: known ? 'open' : 'never-varied', couldMatter, sd };
    }
  }
  return best;
}

/** What the pours say a step does, in spreads of the effect; undefined when it was never varied. */
function effectOfStep(
  pours: readonly PourNumbers[],
  y: readonly number[],
  cause: Quantity,
  found: readonly string[],
  stepPerSpread: number,
): { readonly mean: number; readonly sd: number } | undefined {
  const column = columnOf(cause, pours);
  if (!column) return undefined;
  const others = found.filter((key) => key !== cause.key).map((key) => columnOf(findQuantity(key)!, pours)!);
  const rows = y.map((_, row) => [1, column.values[row]!, ...others.map(({ values }) => values[row]!)]);
  const freedom = y.length - rows[0]!.length;
  if (freedom < 2) return undefined;
  try {
    const { coefficients, standardErrors } = leastSquares(rows, y);
    // Few pours know their own scatter badly: the interval of Student's t as the spread of a normal.
    const wider = studentT(0.95, freedom) / SETTLED_Z;
    return {
      mean: coefficients[1]! * stepPerSpread,
      sd: Math.max(1e-6, standardErrors[1]! * wider * Math.abs(stepPerSpread)),
    };
  } catch {
    // It always changed together with a cause that was found: what it does by itself is not known.
    return undefined;
  }
}

/** Joined with what a change can do before anything is known. */
function joined(known: { readonly mean: number; readonly sd: number } | undefined) {
  if (!known) return { mean: 0, sd: PRIOR_SD };
  const [prior, data] = [1 / PRIOR_SD ** 2, 1 / known.sd ** 2];
  return { mean: (known.mean * data) / (prior + data), sd: 1 / Math.sqrt(prior + data) };
}

function sdOf(values: readonly number[]): number {
  const mean = values.reduce((sum, value) => sum + value, 0) / values.length;
  return Math.sqrt(values.reduce((sum, value) => sum + (value - mean) ** 2, 0) / (values.length - 1));
}
