import { errorFunction } from 'simple-statistics';

/**
 * Probability that a normal number lies below a value (error function to about 1e-7).
 *
 * @param sd above 0; 0 makes it a step
 * @example normalBelow(0, 0, 1) // 0.5
 */
export function normalBelow(value: number, mean: number, sd: number): number {
  if (sd <= 0) return value > mean ? 1 : value < mean ? 0 : 0.5;
  return 0.5 * (1 + errorFunction((value - mean) / (sd * Math.SQRT2)));
}
