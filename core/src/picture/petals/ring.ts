/** Numbers round a circle, evenly spaced, the first after the last. */
export type Ring = readonly number[];

export const mean = (values: Ring): number => values.reduce((sum, value) => sum + value, 0) / values.length;

/** Smoothed by a normal curve of this spread, in steps round the circle. */
export function smoothRing(values: Ring, spread: number): number[] {
  const reach = Math.ceil(3 * spread);
  const weights = Array.from({ length: 2 * reach + 1 }, (_, at) =>
    Math.exp(-0.5 * ((at - reach) / spread) ** 2),
  );
  const total = weights.reduce((sum, weight) => sum + weight, 0);
  return values.map(
    (_, index) =>
      weights.reduce(
        (sum, weight, at) => sum + weight * values[(index + at - reach + values.length) % values.length]!,
        0,
      ) / total,
  );
}

/** How strongly a circle swings so many times round, as a share of its mean. */
export function swing(values: Ring, times: number): number {
  let [real, imaginary] = [0, 0];
  values.forEach((value, index) => {
    const angle = (2 * Math.PI * times * index) / values.length;
    real += value * Math.cos(angle);
    imaginary += value * Math.sin(angle);
  });
  return (2 * Math.hypot(real, imaginary)) / values.length / Math.max(1e-9, mean(values));
}

/**
 * Peaks that rise by at least so much above the valleys on both sides, as indices in order.
 *
 * @param closed whether the last number lies beside the first; the ends of an open line count as valleys
 */
export function peaksOf(values: Ring, leastRise: number, closed = true): number[] {
  const { length } = values;
  const at = (index: number) => (closed ? values[(index + length) % length]! : (values[index] ?? -Infinity));
  const lowest = (from: number, to: number) => {
    const steps = closed ? (to - from + length) % length || length : to - from;
    let low = Infinity;
    for (let step = 0; step <= steps; step += 1) low = Math.min(low, at(from + step));
    return low;
  };
  let kept = values.flatMap((value, index) =>
    value > at(index - 1) && value >= at(index + 1) ? [index] : [],
  );
  // The least of all goes first, so that ripples on one petal leave its highest point.
  while (kept.length > 0) {
    const rises = kept.map((peak, index) => {
      const before = closed ? kept.at(index - 1)! : (kept[index - 1] ?? -1);
      const after = closed ? kept[(index + 1) % kept.length]! : (kept[index + 1] ?? length);
      return values[peak]! - Math.max(lowest(before, peak), lowest(peak, after));
    });
    const least = Math.min(...rises);
    if (least >= leastRise) break;
    kept = kept.filter((_, index) => index !== rises.indexOf(least));
  }
  return kept;
}
