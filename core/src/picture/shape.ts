import type { Components } from './components.ts';
import type { Labels } from './labels.ts';

/** Sums over the pixels of every patch, from which its shape follows. */
export interface Shapes {
  /** Area in pixels, with the parts of edge pixels that belong to it. */
  readonly softArea: Float64Array;
  readonly sumX: Float64Array;
  readonly sumY: Float64Array;
  readonly sumXX: Float64Array;
  readonly sumXY: Float64Array;
  readonly sumYY: Float64Array;
  /** Length of the outline in pixels. */
  readonly perimeter: Float64Array;
  /** Left, top, right, bottom of each patch, inclusive. */
  readonly box: Int32Array;
  /** 1 where the patch touches the rim of the face or what was not seen. */
  readonly cut: Uint8Array;
  /** Edges shared with each label, `labelCount` numbers a patch. */
  readonly ring: Int32Array;
}

/**
 * Outline by counting crossings along four directions (Cauchy–Crofton): exact for circles on average and
 * within a few percent for anything convex.
 */
export function shapesOf(
  patches: Components,
  labels: Labels,
  width: number,
  height: number,
  labelCount: number,
  blocked: Uint8Array,
): Shapes {
  const { count, of } = patches;
  const shapes: Shapes = {
    softArea: softAreas(patches, labels, width, height),
    sumX: new Float64Array(count),
    sumY: new Float64Array(count),
    sumXX: new Float64Array(count),
    sumXY: new Float64Array(count),
    sumYY: new Float64Array(count),
    perimeter: new Float64Array(count),
    box: new Int32Array(count * 4),
    cut: new Uint8Array(count),
    ring: new Int32Array(count * labelCount),
  };
  for (let patch = 0; patch < count; patch += 1) shapes.box.set([width, height, -1, -1], 4 * patch);
  const { sumX, sumY, sumXX, sumXY, sumYY, perimeter, box, cut, ring } = shapes;
  const STRAIGHT = Math.PI / 8;
  const SLANTED = Math.PI / 8 / Math.SQRT2;
  for (let y = 0; y < height; y += 1) {
    for (let x = 0; x < width; x += 1) {
      const pixel = y * width + x;
      const patch = of[pixel]!;
      sumX[patch]! += x;
      sumY[patch]! += y;
      sumXX[patch]! += x * x;
      sumXY[patch]! += x * y;
      sumYY[patch]! += y * y;
      const b = 4 * patch;
      if (x < box[b]!) box[b] = x;
      if (y < box[b + 1]!) box[b + 1] = y;
      if (x > box[b + 2]!) box[b + 2] = x;
      if (y > box[b + 3]!) box[b + 3] = y;
      if (x === 0 || y === 0 || x === width - 1 || y === height - 1 || blocked[pixel]) cut[patch] = 1;
      if (x < width - 1) {
        const other = of[pixel + 1]!;
        if (other !== patch) {
          perimeter[patch]! += STRAIGHT;
          perimeter[other]! += STRAIGHT;
          ring[patch * labelCount + labels.first[pixel + 1]!]! += 1;
          ring[other * labelCount + labels.first[pixel]!]! += 1;
        }
      }
      if (y === height - 1) continue;
      const below = of[pixel + width]!;
      if (below !== patch) {
        perimeter[patch]! += STRAIGHT;
        perimeter[below]! += STRAIGHT;
        ring[patch * labelCount + labels.first[pixel + width]!]! += 1;
        ring[below * labelCount + labels.first[pixel]!]! += 1;
      }
      if (x < width - 1) {
        const other = of[pixel + width + 1]!;
        if (other !== patch) {
          perimeter[patch]! += SLANTED;
          perimeter[other]! += SLANTED;
        }
      }
      if (x > 0) {
        const other = of[pixel + width - 1]!;
        if (other !== patch) {
          perimeter[patch]! += SLANTED;
          perimeter[other]! += SLANTED;
        }
      }
    }
  }
  return shapes;
}

/** Area of every patch, each edge pixel shared between the two patches that meet in it. */
function softAreas(patches: Components, labels: Labels, width: number, height: number): Float64Array {
  const { of, label } = patches;
  const { first, second, cover } = labels;
  const areas = new Float64Array(patches.count);
  for (let y = 0; y < height; y += 1) {
    for (let x = 0; x < width; x += 1) {
      const pixel = y * width + x;
      const own = of[pixel]!;
      const share = cover[pixel]! / 255;
      if (share === 1 || first[pixel] === second[pixel] || label[own] !== first[pixel]) {
        areas[own]! += 1;
        continue;
      }
      areas[own]! += share;
      areas[neighborWith(second[pixel]!, x, y) ?? own]! += 1 - share;
    }
  }
  function neighborWith(wanted: number, x: number, y: number): number | undefined {
    let found: number | undefined;
    let least = Infinity;
    for (let dy = -2; dy <= 2; dy += 1) {
      const row = y + dy;
      if (row < 0 || row >= height) continue;
      for (let dx = -2; dx <= 2; dx += 1) {
        const column = x + dx;
        if (column < 0 || column >= width) continue;
        const patch = of[row * width + column]!;
        const far = dx * dx + dy * dy;
        if (label[patch] === wanted && far < least) {
          least = far;
          found = patch;
        }
      }
    }
    return found;
  }
  return areas;
}

/** Axes of the ellipse with the same second moments, and how the shape compares with it. */
export interface Ellipse {
  readonly x: number;
  readonly y: number;
  /** Half axes in pixels. */
  readonly major: number;
  readonly minor: number;
  /** Of the longer axis, radians. */
  readonly angle: number;
}

/** The ellipse of `count` pixels with these sums of coordinates. */
export function ellipseOf(
  count: number,
  sumX: number,
  sumY: number,
  sumXX: number,
  sumXY: number,
  sumYY: number,
): Ellipse {
  const x = sumX / count;
  const y = sumY / count;
  // A pixel is a square with a spread of its own, 1/12.
  const xx = sumXX / count - x * x + 1 / 12;
  const yy = sumYY / count - y * y + 1 / 12;
  const xy = sumXY / count - x * y;
  const half = (xx + yy) / 2;
  const apart = Math.sqrt(((xx - yy) / 2) ** 2 + xy * xy);
  return {
    x,
    y,
    major: 2 * Math.sqrt(half + apart),
    minor: 2 * Math.sqrt(Math.max(1e-6, half - apart)),
    angle: 0.5 * Math.atan2(2 * xy, xx - yy),
  };
}
