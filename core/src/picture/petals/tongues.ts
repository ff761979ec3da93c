import { ellipseOf } from '../shape.ts';
import type { FlowerMask } from './mask.ts';
import { mean, peaksOf, smoothRing } from './ring.ts';

/** A ribbon is at least so much longer than wide. */
const LONG = 1.3;
const STEPS = 120;
/** A tongue rises by this share of the ribbon's half width above both its valleys. */
const LEAST_RISE = 0.15;
const SMOOTH = 1.5;

/**
 * Counts the tongues of a ribbon that was blown out, on the side on which they stand out most.
 *
 * @returns `null` when the color is no ribbon
 */
export function tonguesOf({ covered, width, height }: FlowerMask): number | null {
  const axis = longAxis(covered, width);
  if (!axis || axis.ratio < LONG) return null;
  const places: [along: number, across: number][] = [];
  covered.forEach((value, pixel) => {
    if (!value) return;
    const [x, y] = [(pixel % width) - axis.x, Math.floor(pixel / width) - axis.y];
    places.push([x * axis.cos + y * axis.sin, y * axis.cos - x * axis.sin]);
  });
  const from = places.reduce((least, [along]) => Math.min(least, along), 0);
  const to = places.reduce((most, [along]) => Math.max(most, along), 0);
  const sides = [1, -1].map((side) => {
    const outline = new Array<number>(STEPS).fill(-Math.max(width, height));
    for (const [along, across] of places) {
      const step = Math.min(STEPS - 1, Math.floor(((along - from) / (to - from || 1)) * STEPS));
      outline[step] = Math.max(outline[step]!, side * across);
    }
    return outline;
  });
  const halfWidth = (mean(sides[0]!) + mean(sides[1]!)) / 2;
  const counted = sides.map((outline) => {
    // An open line: the ends stay what they are.
    const padded = [...outline, ...outline.toReversed()];
    const smooth = smoothRing(padded, SMOOTH).slice(0, STEPS);
    const peaks = peaksOf(smooth, LEAST_RISE * halfWidth, false);
    const high = peaks.map((peak) => smooth[peak]!);
    return {
      count: peaks.length,
      relief: high.length > 1 ? mean(high) - Math.min(...between(smooth, peaks)) : 0,
    };
  });
  const most = counted[0]!.relief >= counted[1]!.relief ? counted[0]! : counted[1]!;
  return most.count > 1 ? most.count : 0;
}

const between = (values: readonly number[], peaks: readonly number[]) =>
  values.slice(peaks[0], peaks.at(-1)! + 1);

/** Middle and direction of the longer axis of a mask, and how much longer it is. */
function longAxis(mask: Uint8Array, width: number) {
  let [count, sumX, sumY, xx, yy, xy] = [0, 0, 0, 0, 0, 0];
  mask.forEach((value, pixel) => {
    if (!value) return;
    const [x, y] = [pixel % width, Math.floor(pixel / width)];
    count += 1;
    sumX += x;
    sumY += y;
    xx += x * x;
    xy += x * y;
    yy += y * y;
  });
  if (count === 0) return undefined;
  const { x, y, major, minor, angle } = ellipseOf(count, sumX, sumY, xx, xy, yy);
  return { x, y, cos: Math.cos(angle), sin: Math.sin(angle), ratio: major / minor };
}
