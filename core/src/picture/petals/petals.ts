import { componentsOf } from '../components.ts';
import { grown } from '../raster.ts';
import { DIRECTIONS, lobesOf } from './lobes.ts';
import type { FlowerMask } from './mask.ts';
import { mean } from './ring.ts';
import { tonguesOf } from './tongues.ts';

export interface Petals {
  /** Petals of the largest flower, or tongues of a fan; `null` if there is no clear number. */
  readonly count: number | null;
  /** How far the petals reach from the middle on average, in millimeters. */
  readonly reachMm: number;
  /** 1 when petals reach equally far and stand evenly round the middle; 0 where they are not counted. */
  readonly symmetry: number;
  /** Share of each edge of the face that color runs over. */
  readonly edges: {
    readonly top: number;
    readonly right: number;
    readonly bottom: number;
    readonly left: number;
  };
}

const RIM_MM = 1.5;
/** Flowers closer than this are one. */
const APART_MM = 4;
/** Less than this share of the face is no flower. */
const LEAST_SHARE = 0.005;
/** Where more of the rim is covered, petals end beyond the face. */
const OVER_THE_RIM = 0.5;
/** A petal by itself may look like three or four; a flower of so many is one. */
const SURELY_A_FLOWER = 5;
/** A ribbon of which less than this hangs together is torn. */
const WHOLE = 0.8;

/**
 * Counts the petals of the largest flower by its colors; where it is no flower, the tongues of a fan.
 *
 * @returns lengths in millimeters; `count` is 0 where color lies without petals, `null` where it cannot be told
 */
export function petalsOf(mask: FlowerMask): Petals {
  const { covered, width, height, pxPerMm } = mask;
  const edges = edgesOf(covered, width, height, pxPerMm);
  const all = countAll(covered);
  if (all < covered.length * LEAST_SHARE) return { count: 0, reachMm: 0, symmetry: 0, edges };
  const hidden = mean([edges.top, edges.right, edges.bottom, edges.left]) > OVER_THE_RIM;
  const one = largestPatch(mask);
  const [alone, together] = [lookAt(one), lookAt(mask)];
  // Of several flowers the largest stands for itself; petals that do not touch are a flower together.
  const isFlower = (alone.lobes.count ?? 0) >= SURELY_A_FLOWER || countAll(one.covered) > WHOLE * all;
  const flower = (isFlower ? [alone, together] : [together]).find(({ lobes }) => lobes.count);
  if (!flower || hidden) {
    const torn = countAll(one.covered) < WHOLE * all;
    const { rays, lobes } = together;
    const count = hidden || torn ? null : (tonguesOf(one) ?? lobes.count);
    return { count, reachMm: mean(rays.map(({ reach }) => reach)) / pxPerMm, symmetry: 0, edges };
  }
  const {
    rays,
    lobes: { count, peaks },
  } = flower;
  const reaches = peaks.map((peak) => rays[peak]!.reach);
  const gaps = peaks.map(
    (peak, index) => (peaks[(index + 1) % peaks.length]! - peak + DIRECTIONS) % DIRECTIONS || DIRECTIONS,
  );
  const uneven = (scatter(reaches) + scatter(gaps)) / 2;
  return { count, reachMm: mean(reaches) / pxPerMm, symmetry: Math.max(0, 1 - uneven), edges };
}

const countAll = (mask: Uint8Array) => mask.reduce((sum, value) => sum + value, 0);

function lookAt(mask: FlowerMask) {
  const rays = raysOf(mask, middleOf(mask.covered, mask.width));
  return { rays, lobes: lobesOf(rays.map(({ amount }) => amount)) };
}

/** What hangs together and covers most. */
function largestPatch({ solid, covered, width, height, pxPerMm }: FlowerMask): FlowerMask {
  const { of, label, area } = componentsOf(
    grown(covered, width, height, (APART_MM / 2) * pxPerMm),
    width,
    height,
  );
  let largest = -1;
  label.forEach((value, patch) => {
    if (value && (largest < 0 || area[patch]! > area[largest]!)) largest = patch;
  });
  const within = (mask: Uint8Array) => mask.map((value, pixel) => (of[pixel] === largest ? value : 0));
  return { solid: within(solid), covered: within(covered), width, height, pxPerMm };
}

function middleOf(mask: Uint8Array, width: number) {
  let [count, sumX, sumY] = [0, 0, 0];
  mask.forEach((value, pixel) => {
    if (!value) return;
    count += 1;
    sumX += pixel % width;
    sumY += Math.floor(pixel / width);
  });
  return { x: sumX / count, y: sumY / count };
}

/** In each direction from the middle: the color by its area, and how far anything is covered, in pixels. */
function raysOf({ solid, covered, width, height }: FlowerMask, { x, y }: { x: number; y: number }) {
  return Array.from({ length: DIRECTIONS }, (_, direction) => {
    const angle = (2 * Math.PI * direction) / DIRECTIONS;
    const [dx, dy] = [Math.cos(angle), Math.sin(angle)];
    let [amount, reach] = [0, 0];
    for (let radius = 0; ; radius += 1) {
      const column = Math.round(x + radius * dx);
      const row = Math.round(y + radius * dy);
      if (column < 0 || row < 0 || column >= width || row >= height) break;
      if (covered[row * width + column]) reach = radius;
      if (solid[row * width + column]) amount += radius;
    }
    return { amount, reach };
  });
}

function edgesOf(covered: Uint8Array, width: number, height: number, pxPerMm: number): Petals['edges'] {
  const rim = Math.max(1, Math.round(RIM_MM * pxPerMm));
  const along = (length: number, at: (index: number) => number) => {
    let hit = 0;
    for (let index = 0; index < length; index += 1) hit += covered[at(index)]!;
    return hit / length;
  };
  return {
    top: along(width, (index) => rim * width + index),
    bottom: along(width, (index) => (height - 1 - rim) * width + index),
    left: along(height, (index) => index * width + rim),
    right: along(height, (index) => index * width + width - 1 - rim),
  };
}

/** Standard deviation over the mean. */
function scatter(values: readonly number[]): number {
  const middle = mean(values);
  return Math.sqrt(mean(values.map((value) => (value - middle) ** 2))) / middle;
}
