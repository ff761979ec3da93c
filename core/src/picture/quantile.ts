import { quantileSorted } from 'd3-array';

/** Quantile of sorted values, between neighbors in proportion; 0 of none. */
export const quantile = (sorted: readonly number[], share: number): number =>
  quantileSorted([...sorted], share) ?? 0;
