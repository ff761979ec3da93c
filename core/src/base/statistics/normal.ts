import { errorFunction } from 'simple-statistics';

/**
 * Density of the standard normal distribution.
 *
 * @example normalDensity(0) // 0.39894
 */
export const normalDensity = (z: number): number => Math.exp(-(z ** 2) / 2) / Math.sqrt(2 * Math.PI);

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

/** Nine of ten normal numbers lie within so many standard deviations of their mean. */
export const NINE_IN_TEN = 1.645;
