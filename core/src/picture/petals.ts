import { opened } from './raster.ts';

export interface Petals {
  readonly count: number;
  /** How far the petals reach from the middle on average, in millimeters. */
  readonly reachMm: number;
  /** 1 when petals reach equally far and stand evenly round the middle, 0 when not at all. */
  readonly symmetry: number;
  /** Share of each edge of the face that color runs over. */
  readonly edges: {
    readonly top: number;
    readonly right: number;
    readonly bottom: number;
    readonly left: number;
  };
}

const DIRECTIONS = 180;
const LEAST_RISE = 0.06;
const RIM_MM = 1.5;

/** Every 4 by 4 pixels as one, and spots thinner than 1 mm left out: what a petal's outline is read from. */
export function flowerMask(colored: Uint8Array, width: number, height: number, pxPerMm: number) {
  const w = Math.floor(width / COARSER);
  const h = Math.floor(height / COARSER);
  const mask = new Uint8Array(w * h);
  for (let y = 0; y < h; y += 1) {
    for (let x = 0; x < w; x += 1) {
      let count = 0;
      for (let sub = 0; sub < COARSER * COARSER; sub += 1) {
        count += colored[(y * COARSER + Math.floor(sub / COARSER)) * width + x * COARSER + (sub % COARSER)]!;
      }
      mask[y * w + x] = count > (COARSER * COARSER) / 2 ? 1 : 0;
    }
  }
  return {
    mask: opened(mask, w, h, Math.max(1, pxPerMm / COARSER)),
    width: w,
    height: h,
    pxPerMm: pxPerMm / COARSER,
  };
}

const COARSER = 4;

/**
 * Reads the flower's outline as a distance in each direction from its middle; petals are its peaks that
 * rise above both valleys by 6 % of the usual reach.
 *
 * @param colored 1 where there is paint other than the base
 */
export function petalsOf(colored: Uint8Array, width: number, height: number, pxPerMm: number): Petals {
  const none = { count: 0, reachMm: 0, symmetry: 0, edges: edgesOf(colored, width, height, pxPerMm) };
  let count = 0;
  let sumX = 0;
  let sumY = 0;
  for (let pixel = 0; pixel < colored.length; pixel += 1) {
    if (!colored[pixel]) continue;
    count += 1;
    sumX += pixel % width;
    sumY += Math.floor(pixel / width);
  }
  if (count < colored.length * 0.005) return none;
  const outline = smoothRing(outlineOf(colored, width, height, sumX / count, sumY / count), 3);
  const peaks = peaksOf(outline);
  if (peaks.length === 0) return { ...none, reachMm: mean(outline) / pxPerMm };
  const reaches = peaks.map((peak) => outline[peak]!);
  const gaps = peaks.map((peak, index) => {
    const next = peaks[(index + 1) % peaks.length]!;
    return (next - peak + DIRECTIONS) % DIRECTIONS || DIRECTIONS;
  });
  const uneven = (scatter(reaches) + scatter(gaps)) / 2;
  return {
    ...none,
    count: peaks.length,
    reachMm: mean(reaches) / pxPerMm,
    symmetry: Math.max(0, 1 - uneven),
  };
}

function outlineOf(colored: Uint8Array, width: number, height: number, x: number, y: number): number[] {
  return Array.from({ length: DIRECTIONS }, (_, direction) => {
    const angle = (2 * Math.PI * direction) / DIRECTIONS;
    const dx = Math.cos(angle);
    const dy = Math.sin(angle);
    let farthest = 0;
    for (let radius = 0; ; radius += 1) {
      const column = Math.round(x + radius * dx);
      const row = Math.round(y + radius * dy);
      if (column < 0 || row < 0 || column >= width || row >= height) break;
      if (colored[row * width + column]) farthest = radius;
    }
    return farthest;
  });
}

/** Peaks that stand at least 6 % of the mean above the valleys on both sides. */
function peaksOf(outline: readonly number[]): number[] {
  const least = LEAST_RISE * mean(outline);
  const tops = outline
    .map((value, index) => ({ value, index }))
    .filter(({ value, index }) => {
      const before = outline[(index + outline.length - 1) % outline.length]!;
      const after = outline[(index + 1) % outline.length]!;
      return value > before && value >= after;
    });
  let kept = tops;
  for (;;) {
    // The lowest saddle-rise goes first, so that ripples on one petal leave its highest point.
    const rises = kept.map((top, index) => {
      const before = kept[(index + kept.length - 1) % kept.length]!;
      const after = kept[(index + 1) % kept.length]!;
      const valleys = [
        lowestBetween(outline, before.index, top.index),
        lowestBetween(outline, top.index, after.index),
      ];
      return top.value - Math.max(...valleys);
    });
    const least_ = Math.min(...rises);
    if (kept.length === 0 || least_ >= least) break;
    kept = kept.filter((_, index) => index !== rises.indexOf(least_));
  }
  return kept.map((top) => top.index);
}

function lowestBetween(outline: readonly number[], from: number, to: number): number {
  const steps = (to - from + outline.length) % outline.length || outline.length;
  let lowest = Infinity;
  for (let step = 0; step <= steps; step += 1) {
    lowest = Math.min(lowest, outline[(from + step) % outline.length]!);
  }
  return lowest;
}

function smoothRing(values: readonly number[], reach: number): number[] {
  return values.map((_, index) => {
    let sum = 0;
    for (let step = -reach; step <= reach; step += 1) {
      sum += values[(index + step + values.length) % values.length]!;
    }
    return sum / (2 * reach + 1);
  });
}

function edgesOf(colored: Uint8Array, width: number, height: number, pxPerMm: number): Petals['edges'] {
  const rim = Math.max(1, Math.round(RIM_MM * pxPerMm));
  const along = (length: number, at: (index: number) => number) => {
    let hit = 0;
    for (let index = 0; index < length; index += 1) hit += colored[at(index)]!;
    return hit / length;
  };
  return {
    top: along(width, (index) => rim * width + index),
    bottom: along(width, (index) => (height - 1 - rim) * width + index),
    left: along(height, (index) => index * width + rim),
    right: along(height, (index) => index * width + width - 1 - rim),
  };
}

const mean = (values: readonly number[]) => values.reduce((sum, value) => sum + value, 0) / values.length;

/** Standard deviation over the mean. */
function scatter(values: readonly number[]): number {
  const middle = mean(values);
  return Math.sqrt(mean(values.map((value) => (value - middle) ** 2))) / middle;
}
