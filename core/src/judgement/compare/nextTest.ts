import { scaled, type DifferenceFit, type PourNumbers } from './madeTheDifference.ts';
import type { Quantity } from './quantities.ts';

/** One change worth trying. */
export interface NextTest {
  readonly cause: Quantity;
  readonly from: number;
  readonly to: number;
  /** How much it would tell, in bits; only for putting tests in order. */
  readonly bits: number;
}

/** Changes a hand can make on purpose; the room and the spinner's whim are not among them. */
const CAN_CHANGE: Readonly<Record<string, readonly number[]>> = {
  colorPaS: [0.8, 1.25],
  activatorRatio: [0.8, 1.25],
  groundRatio: [0.8, 1.25],
  colorG: [0.8, 1.25],
  groundG: [0.8, 1.25],
  activatorShare: [0.75, 1.35],
  distanceMm: [0.7, 1.4],
  slantDeg: [0.7, 1.4],
  airSeconds: [0.7, 1.4],
  waitSeconds: [0.5, 2],
};

/**
 * The one change to a pour whose outcome would narrow the answer most.
 *
 * Law: information gained, ln(1 + x'Sx/s²)/2, x the changed pour in standardized causes, S their covariance
 * (Lindley 1956, from memory).
 */
export function nextTest(fit: DifferenceFit, from: PourNumbers): NextTest | undefined {
  const start = fit.causes.map((cause, index) => {
    const value = from[cause.key];
    return typeof value === 'number' ? (scaled(cause, value) - fit.middles[index]!) / fit.spreads[index]! : 0;
  });
  const variance = fit.ridge.residualSd ** 2 || 1e-9;
  let best: NextTest | undefined;
  fit.causes.forEach((cause, index) => {
    const now = from[cause.key];
    if (typeof now !== 'number') return;
    for (const factor of CAN_CHANGE[cause.key] ?? []) {
      const to = cause.key === 'slantDeg' ? Math.min(90, now * factor) : now * factor;
      const changed = [...start];
      changed[index] = (scaled(cause, to) - fit.middles[index]!) / fit.spreads[index]!;
      const bits = Math.log2(1 + quadratic(changed, fit.ridge.covariance) / variance) / 2;
      if (!best || bits > best.bits) best = { cause, from: now, to, bits };
    }
  });
  return best;
}

function quadratic(x: readonly number[], matrix: readonly (readonly number[])[]): number {
  return x.reduce(
    (sum, one, row) =>
      sum + one * x.reduce((inner, other, column) => inner + matrix[row]![column]! * other, 0),
    0,
  );
}
