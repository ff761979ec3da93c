/** Quantile of sorted values, between neighbors in proportion; 0 of none. */
export function quantile(sorted: readonly number[], share: number): number {
  if (sorted.length === 0) return 0;
  const place = share * (sorted.length - 1);
  const low = Math.floor(place);
  const high = Math.min(sorted.length - 1, low + 1);
  return sorted[low]! + (sorted[high]! - sorted[low]!) * (place - low);
}
