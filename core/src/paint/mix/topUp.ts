import { InputError } from '../../base/error/index.ts';

/**
 * Water a lidded cup lost, from weighing it again: what is missing is water, and is to be stirred in
 * again. Source: common practice, no published source; holds for water-based mixes in a closed cup.
 *
 * @param expectedG what should be in the cup; @param weighedG what the scale shows now (cup's own weight
 * taken off)
 * @returns grams of water to stir in, 0 when nothing was lost
 * @throws InputError naming "weighedG" when the cup got heavier by more than a scale's error
 * @example topUpG(56, 54) // 2
 */
export function topUpG(expectedG: number, weighedG: number): number {
  if (!Number.isFinite(weighedG) || weighedG < 0) {
    throw new InputError('weighedG', 'The weight must be 0 g or more.');
  }
  if (weighedG > expectedG * 1.02 + 0.2) {
    throw new InputError(
      'weighedG',
      'The cup is heavier than what was weighed in: take the cup’s own weight off, or log what was added.',
    );
  }
  return Math.max(0, expectedG - weighedG);
}
