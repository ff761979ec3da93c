import { quantileSorted } from 'd3-array';

/** Quantile of sorted values, between neighbors in proportion; 0 of none. */
export const quantile = (sorted: readonly number[], share: number): number =>
  quantileSorted([...sorted], share) ?? 0;

/** The middle of values in any order; 0 of none. */
export const median = (values: readonly number[]): number =>
  quantile(
    [...values].sort((a, b) => a - b),
    0.5,
  );
