import { leastSquares, studentT } from '../../base/statistics/index.ts';

/** A straight line through points, with the band that holds it in nine of ten cases. */
export interface Trend {
  readonly n: number;
  readonly slope: number;
  readonly intercept: number;
  readonly slopeLow: number;
  readonly slopeHigh: number;
  /** Whether the band leaves no doubt about up or down. */
  readonly isSure: boolean;
  readonly at: (x: number) => { readonly y: number; readonly low: number; readonly high: number };
}

/** Fewer points than this carry no line. */
export const LEAST_POINTS = 6;
const CONFIDENCE = 0.95;

/**
 * Least squares with its 90 % band, or nothing when there are too few points or they all have one x.
 *
 * Source: ordinary regression (any textbook); Student's t.
 */
export function trendOf(points: readonly { readonly x: number; readonly y: number }[]): Trend | undefined {
  const n = points.length;
  if (n < LEAST_POINTS) return undefined;
  const mean = points.reduce((sum, { x }) => sum + x, 0) / n;
  const spread = points.reduce((sum, { x }) => sum + (x - mean) ** 2, 0);
  if (spread < 1e-12 * Math.max(1, mean * mean)) return undefined;
  const fit = leastSquares(
    points.map(({ x }) => [1, x - mean]),
    points.map(({ y }) => y),
  );
  const [middle = 0, slope = 0] = fit.coefficients;
  const t = studentT(CONFIDENCE, n - 2);
  const slopeError = t * (fit.standardErrors[1] ?? 0);
  return {
    n,
    slope,
    intercept: middle - slope * mean,
    slopeLow: slope - slopeError,
    slopeHigh: slope + slopeError,
    isSure: Math.abs(slope) > slopeError,
    at(x) {
      const y = middle + slope * (x - mean);
      const off = t * fit.residualSd * Math.sqrt(1 / n + (x - mean) ** 2 / spread);
      return { y, low: y - off, high: y + off };
    },
  };
}
