/** Nothing lies farther off the support's corner than this. */
export const FARTHEST_MM = [-5000, 10_000] as const;

/** A typed number inside its limits; `null` when nothing was typed, or only what stood there, rounded, was left. */
export function typedWithin(
  typed: number | null,
  before: number,
  [low, high]: readonly [number, number],
): number | null {
  if (typed === null || isAsShown(typed, before)) return null;
  return Math.min(high, Math.max(low, typed));
}

/** Leaving a field does not round what it shows. */
export const isAsShown = (typed: number, before: number): boolean => Math.abs(typed - before) < 0.006;
