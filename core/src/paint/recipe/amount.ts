import { InputError, requirePositive } from '../../base/error/index.ts';
import { splitMg } from '../../base/unit/mass.ts';
import type { ExpandedPart } from './expand.ts';

/** A cup is filled to this share, so that it can be stirred. */
export const FILL_SHARE = 0.85;

/** How much to mix: grams in all, a vessel to fill, or all there is of one ingredient. */
export type Amount =
  | { readonly kind: 'total'; readonly massG: number }
  | { readonly kind: 'vessel'; readonly capacityMl: number }
  | { readonly kind: 'ingredient'; readonly index: number; readonly massG: number };

/**
 * Grams a cup shall hold in all.
 *
 * @param parts the recipe's ingredients as shares of mass, in the order of `densities`
 * @param densities g/ml of each ingredient
 * @throws InputError naming "massG", "capacityMl" or "index"
 * @example totalMassG([{ share: 1 }], [1.1], { kind: 'vessel', capacityMl: 60 }) // 56.1
 */
export function totalMassG(
  parts: readonly Pick<ExpandedPart, 'share'>[],
  densities: readonly number[],
  amount: Amount,
): number {
  switch (amount.kind) {
    case 'total':
      requirePositive('massG', amount.massG, 'The amount');
      return amount.massG;
    case 'vessel': {
      requirePositive('capacityMl', amount.capacityMl, 'The capacity');
      const mlPerG = parts.reduce((sum, part, index) => sum + part.share / (densities[index] ?? 1), 0);
      return (FILL_SHARE * amount.capacityMl) / mlPerG;
    }
    case 'ingredient': {
      requirePositive('massG', amount.massG, 'The amount');
      const share = parts[amount.index]?.share ?? 0;
      if (share <= 0) throw new InputError('index', 'The recipe does not contain this ingredient.');
      return amount.massG / share;
    }
  }
}

/**
 * Whole milligrams of every ingredient; their sum is exactly `totalMg`.
 *
 * @throws InputError naming `totalMg`
 * @example portion([{ share: 0.5 }, { share: 0.25 }, { share: 0.25 }], 10_001) // [5001, 2500, 2500]
 */
export function portion(parts: readonly { readonly share: number }[], totalMg: number): number[] {
  if (!Number.isInteger(totalMg) || totalMg <= 0) {
    throw new InputError('totalMg', 'Say how many grams the cup shall hold, above 0.');
  }
  return splitMg(
    totalMg,
    parts.map((part) => part.share),
  );
}
