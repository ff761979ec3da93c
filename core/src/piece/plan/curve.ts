import type { Place, Seam } from './plan.ts';

/** A place along a quadratic curve, `t` from 0 (start) to 1 (end). */
export function curveAt({ start, control, end }: Seam, t: number): Place {
  const s = 1 - t;
  return {
    x: s * s * start.x + 2 * s * t * control.x + t * t * end.x,
    y: s * s * start.y + 2 * s * t * control.y + t * t * end.y,
  };
}

/** The curve as `count` + 1 places. */
export function curvePlaces(curve: Seam, count = 40): Place[] {
  return Array.from({ length: count + 1 }, (_, index) => curveAt(curve, index / count));
}

/** Length of a line through places, mm. */
export function lengthMm(places: readonly Place[]): number {
  return places.slice(1).reduce((sum, place, index) => sum + distanceMm(places[index]!, place), 0);
}

/** Not by `Math.hypot`, which takes ten times as long for the sake of lengths that no support has. */
export function distanceMm(a: Place, b: Place): number {
  return Math.sqrt((a.x - b.x) ** 2 + (a.y - b.y) ** 2);
}

/** The bend of a path as the artist sees it: the middle of the curve, which lies on it. */
export const curveMiddle = (curve: Seam): Place => curveAt(curve, 0.5);

/** The control place that brings the middle of the curve to `middle`. */
export function bentThrough({ start, end }: Pick<Seam, 'start' | 'end'>, middle: Place): Place {
  return {
    x: 2 * middle.x - (start.x + end.x) / 2,
    y: 2 * middle.y - (start.y + end.y) / 2,
  };
}
