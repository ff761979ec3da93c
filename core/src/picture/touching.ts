import type { Components } from './components.ts';
import { squaredDistances } from './raster.ts';
import { ellipseOf, type Ellipse, type Shapes } from './shape.ts';

/** One of several cells that run together. */
export interface Part {
  readonly area: number;
  readonly soft: number;
  readonly perimeter: number;
  readonly ellipse: Ellipse;
  readonly holds: (x: number, y: number) => boolean;
}

const LEAST_DIP_PX = 0.5;
const LEAST_DIP = 0.12;

/**
 * Splits a patch where it narrows: its distance map has a peak in the middle of each cell; peaks whose
 * saddle lies less than 12 % (and half a pixel) lower belong together. Every pixel goes to the peak it climbs to by
 * the steepest way.
 *
 * @returns the parts; one when it is a single cell
 */
export function splitTouching(patches: Components, shapes: Shapes, patch: number, width: number): Part[] {
  const [left, top, right, bottom] = shapes.box.subarray(4 * patch, 4 * patch + 4) as unknown as number[];
  // A rim of one empty pixel, so that the edge of the box is an edge of the patch.
  const w = right! - left! + 3;
  const h = bottom! - top! + 3;
  const mask = new Uint8Array(w * h);
  for (let y = 1; y < h - 1; y += 1) {
    for (let x = 1; x < w - 1; x += 1) {
      if (patches.of[(top! + y - 1) * width + left! + x - 1] === patch) mask[y * w + x] = 1;
    }
  }
  const distance = squaredDistances(mask, w, h).map(Math.sqrt);
  const peakOf = climb(mask, distance, w);
  const joined = joinPeaks(mask, distance, peakOf, w, h);
  const groups = new Map<number, number[]>();
  for (let pixel = 0; pixel < mask.length; pixel += 1) {
    if (!mask[pixel]) continue;
    const group = joined(peakOf[pixel]!);
    const pixels = groups.get(group);
    if (pixels) pixels.push(pixel);
    else groups.set(group, [pixel]);
  }
  if (groups.size < 2) return [partOf([...groups.values()][0] ?? [], 1)];
  const softer = shapes.softArea[patch]! / patches.area[patch]!;
  return [...groups.values()].map((pixels) => partOf(pixels, softer));

  function partOf(pixels: readonly number[], soft: number): Part {
    let sumX = 0;
    let sumY = 0;
    let sumXX = 0;
    let sumXY = 0;
    let sumYY = 0;
    const own = new Set(pixels);
    for (const pixel of pixels) {
      const x = (pixel % w) + left! - 1;
      const y = Math.floor(pixel / w) + top! - 1;
      sumX += x;
      sumY += y;
      sumXX += x * x;
      sumXY += x * y;
      sumYY += y * y;
    }
    return {
      area: pixels.length,
      soft: pixels.length * soft,
      perimeter: 0,
      ellipse: ellipseOf(pixels.length, sumX, sumY, sumXX, sumXY, sumYY),
      holds: (x, y) => own.has((y - top! + 1) * w + (x - left! + 1)),
    };
  }
}

/** The peak each pixel reaches by always stepping to the highest neighbor. */
function climb(mask: Uint8Array, distance: Float32Array, w: number): Int32Array {
  const peakOf = new Int32Array(mask.length).fill(-1);
  const steps = [-w - 1, -w, -w + 1, -1, 1, w - 1, w, w + 1];
  for (let start = 0; start < mask.length; start += 1) {
    if (!mask[start] || peakOf[start]! >= 0) continue;
    const path: number[] = [];
    let at = start;
    for (;;) {
      path.push(at);
      if (peakOf[at]! >= 0) break;
      let best = at;
      for (const step of steps) {
        // Of equally high ones the one that comes last, so that a plateau has one end.
        const next = at + step;
        if (distance[next]! > distance[best]! || (distance[next] === distance[best] && next > best))
          best = next;
      }
      if (best === at) break;
      at = best;
    }
    const peak = peakOf[at]! >= 0 ? peakOf[at]! : at;
    for (const pixel of path) peakOf[pixel] = peak;
  }
  return peakOf;
}

/** Joins peaks, highest saddles first, where the way between them hardly dips. */
function joinPeaks(
  mask: Uint8Array,
  distance: Float32Array,
  peakOf: Int32Array,
  w: number,
  h: number,
): (peak: number) => number {
  const saddles = new Map<string, { a: number; b: number; height: number }>();
  for (let y = 1; y < h - 1; y += 1) {
    for (let x = 1; x < w - 1; x += 1) {
      const pixel = y * w + x;
      if (!mask[pixel]) continue;
      for (const next of [pixel + 1, pixel + w, pixel + w + 1, pixel + w - 1]) {
        if (!mask[next] || peakOf[next] === peakOf[pixel]) continue;
        const a = Math.min(peakOf[pixel]!, peakOf[next]!);
        const b = Math.max(peakOf[pixel]!, peakOf[next]!);
        const height = Math.min(distance[pixel]!, distance[next]!);
        const key = `${a} ${b}`;
        const known = saddles.get(key);
        if (!known || height > known.height) saddles.set(key, { a, b, height });
      }
    }
  }
  const parent = new Map<number, number>();
  const top = (peak: number): number => {
    const up = parent.get(peak);
    return up === undefined ? peak : top(up);
  };
  for (const { a, b, height } of [...saddles.values()].sort((x, y) => y.height - x.height)) {
    const one = top(a);
    const other = top(b);
    if (one === other) continue;
    const [low, high] = distance[one]! < distance[other]! ? [one, other] : [other, one];
    const dip = distance[low]! - height;
    if (dip < Math.max(LEAST_DIP_PX, LEAST_DIP * distance[low]!)) parent.set(low, high);
  }
  return top;
}
