import { InputError, requirePositive } from '../../base/error/index.ts';

/** Each puddle has this share of the one below it (common practice, no published source). */
export const USUAL_STEP = 0.7;

/**
 * Grams of a pyramid's layers from the bottom up: each has `step` times the mass of the one below.
 *
 * Law: m_i = m_0 step^i with sum m_i = total. "Most paint in the lowest puddle, each one above smaller":
 * common practice, no published source.
 *
 * @param step above 0; 1 makes all alike
 * @throws InputError naming "totalG", "count" or "step"
 * @example pyramid(21, 2, 0.75) // [12, 9]
 */
export function pyramid(totalG: number, count: number, step = USUAL_STEP): number[] {
  requirePositive('totalG', totalG, 'The grams of the stack');
  requirePositive('step', step, 'The step from puddle to puddle');
  if (!Number.isInteger(count) || count < 1) throw new InputError('count', 'A stack has at least one layer.');
  const weights = Array.from({ length: count }, (_, index) => step ** index);
  const sum = weights.reduce((total, weight) => total + weight, 0);
  return weights.map((weight) => (totalG * weight) / sum);
}
