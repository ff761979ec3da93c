import { InputError } from '../../base/error/index.ts';
import type { LabelledFace } from './face.ts';
import { sumsOf, type Sums } from './sums.ts';

/** A part of the face, shares of its width and height from the top left. */
export interface Part {
  readonly x: number;
  readonly y: number;
  readonly width: number;
  readonly height: number;
}

/** What a crop is ranked by, each 0 to 1, and how much it counts. */
export const CROP_CRITERIA = {
  balance: { label: 'balance of colors', weight: 2 },
  cells: { label: 'cells and lacing inside', weight: 2 },
  space: { label: 'negative space', weight: 1.5 },
  mud: { label: 'no mud', weight: 1.5 },
  faults: { label: 'no fault inside', weight: 2 },
  uncut: { label: 'nothing cut', weight: 1.5 },
} as const;
export type CropCriterion = keyof typeof CROP_CRITERIA;

export interface Crop {
  readonly part: Part;
  /** Mean of the criteria by their weights, 0 to 1. */
  readonly score: number;
  readonly criteria: Readonly<Record<CropCriterion, number>>;
}

/** What lies on a face beside its colors. */
export interface CropGround {
  readonly face: LabelledFace;
  /** Cells: place and diameter, mm from the top left. */
  readonly cells: readonly { readonly xMm: number; readonly yMm: number; readonly diameterMm: number }[];
  /** Masks of the measurement in a size of their own: 1 where lacing, where mud is. */
  readonly masks: {
    readonly widthPx: number;
    readonly heightPx: number;
    readonly net: Uint8Array;
    readonly mud: Uint8Array;
  };
  /** Places of pinned faults, shares of the face. */
  readonly faults: readonly { readonly x: number; readonly y: number }[];
  readonly shape: 'rectangle' | 'round';
}

/** A ground made ready for judging many crops. */
export interface CropBench {
  readonly ground: CropGround;
  /** Of each color, then of lacing, then of mud. */
  readonly sums: readonly Sums[];
  /** Of the whole face: cells and lacing on a square centimeter there are the measure for its parts. */
  readonly busyness: number;
}

/** Judges with a glance for what a taste would rank (assumptions; every criterion is shown). */
const SPACE = { from: 0.12, to: 0.5, gone: 0.85 } as const;
/** This share of mud inside makes a part bad. */
const MUCH_MUD = 0.08;

export function cropBench(ground: CropGround): CropBench {
  const { face, masks } = ground;
  const { width, height, labels } = face;
  const colors = Array.from({ length: face.colors }, (_, color) =>
    sumsOf(width, height, (x, y) => (labels[y * width + x] === color ? 1 : 0)),
  );
  const ofMask = (mask: Uint8Array) =>
    sumsOf(width, height, (x, y) => {
      const mx = Math.min(masks.widthPx - 1, Math.floor(((x + 0.5) * masks.widthPx) / width));
      const my = Math.min(masks.heightPx - 1, Math.floor(((y + 0.5) * masks.heightPx) / height));
      return mask[my * masks.widthPx + mx]!;
    });
  const sums = [...colors, ofMask(masks.net), ofMask(masks.mud)];
  const bench = { ground, sums, busyness: 1 };
  const whole = { x: 0, y: 0, width: 1, height: 1 };
  return { ...bench, busyness: Math.max(1e-6, busyIn(bench, whole)) };
}

/** The rectangle in small pixels: left, top, right, bottom, the last two beyond it. */
function boxOf(
  { face }: CropGround,
  { x, y, width, height }: Part,
): readonly [number, number, number, number] {
  const left = Math.max(0, Math.min(face.width - 1, Math.round(x * face.width)));
  const top = Math.max(0, Math.min(face.height - 1, Math.round(y * face.height)));
  const right = Math.max(left + 1, Math.min(face.width, Math.round((x + width) * face.width)));
  const bottom = Math.max(top + 1, Math.min(face.height, Math.round((y + height) * face.height)));
  return [left, top, right, bottom];
}

/** Share of lacing, and cells on a square centimeter that count a tenth each. */
function busyIn(bench: CropBench, part: Part): number {
  const { ground, sums } = bench;
  const box = boxOf(ground, part);
  const area = (box[2] - box[0]) * (box[3] - box[1]);
  const cm2 = area / (100 * ground.face.pxPerMm ** 2);
  const { inside } = cellsAt(ground, part);
  return sums[ground.face.colors]!.of(box) / area + (0.1 * inside) / cm2;
}

function cellsAt({ face, cells }: CropGround, part: Part): { inside: number; cut: number } {
  const widthMm = face.width / face.pxPerMm;
  const heightMm = face.height / face.pxPerMm;
  const [left, top] = [part.x * widthMm, part.y * heightMm];
  const [right, bottom] = [left + part.width * widthMm, top + part.height * heightMm];
  let inside = 0;
  let cut = 0;
  for (const { xMm, yMm, diameterMm } of cells) {
    const r = diameterMm / 2;
    if (xMm + r < left || xMm - r > right || yMm + r < top || yMm - r > bottom) continue;
    if (xMm - r >= left && xMm + r <= right && yMm - r >= top && yMm + r <= bottom) inside += 1;
    else cut += 1;
  }
  return { inside, cut };
}

/**
 * How good a part of the face is by itself.
 *
 * @throws InputError when the part lies outside or is empty
 */
export function judgeCrop(bench: CropBench, part: Part): Crop {
  const { ground, sums } = bench;
  const { face, shape } = ground;
  if (!(part.width > 0 && part.height > 0 && part.x >= 0 && part.y >= 0)) {
    throw new InputError('part', 'The part lies on the face and is not empty.');
  }
  const box = boxOf(ground, part);
  const area = (box[2] - box[0]) * (box[3] - box[1]);
  const shares = sums.slice(0, face.colors).map((sum) => sum.of(box) / area);
  const base = shares[face.base]!;
  const mud = sums[face.colors + 1]!.of(box) / area;
  const { inside, cut } = cellsAt(ground, part);
  const faults = ground.faults.filter(
    ({ x, y }) => x >= part.x && x <= part.x + part.width && y >= part.y && y <= part.y + part.height,
  ).length;
  const edge = edgeShare(bench, box, base);
  const criteria: Crop['criteria'] = {
    balance: evenness(shares.filter((_, color) => color !== face.base)),
    cells: Math.min(1, busyIn(bench, part) / (1.5 * bench.busyness)),
    space: spaceScore(base),
    mud: Math.max(0, 1 - mud / MUCH_MUD),
    faults: shape === 'round' && !inRound(part) ? 0 : faults === 0 ? 1 : 0.5 ** (2 * faults),
    uncut: 0.5 * (inside + cut === 0 ? 1 : inside / (inside + cut)) + 0.5 * edge,
  };
  const names = Object.keys(CROP_CRITERIA) as CropCriterion[];
  const total = names.reduce((sum, name) => sum + CROP_CRITERIA[name].weight, 0);
  const score = names.reduce((sum, name) => sum + CROP_CRITERIA[name].weight * criteria[name], 0) / total;
  return { part, score, criteria };
}

/** How even the colors of the design are shared out: entropy to the most it could be. */
function evenness(shares: readonly number[]): number {
  const total = shares.reduce((sum, share) => sum + share, 0);
  if (total <= 0 || shares.length < 2) return 0;
  const entropy = shares.reduce((sum, share) => {
    const p = share / total;
    return p > 0 ? sum - p * Math.log(p) : sum;
  }, 0);
  return entropy / Math.log(shares.length);
}

function spaceScore(base: number): number {
  if (base < SPACE.from) return 0.4 + (0.6 * base) / SPACE.from;
  if (base <= SPACE.to) return 1;
  return Math.max(0, 1 - (base - SPACE.to) / (SPACE.gone - SPACE.to));
}

/** How much quieter the edge is than the inside: what of it runs over bare ground, against the ground there is. */
function edgeShare(
  { ground, sums }: CropBench,
  [left, top, right, bottom]: readonly [number, number, number, number],
  base: number,
): number {
  const of = (box: readonly [number, number, number, number]) => sums[ground.face.base]!.of(box);
  const quiet =
    of([left, top, right, top + 1]) +
    of([left, bottom - 1, right, bottom]) +
    of([left, top, left + 1, bottom]) +
    of([right - 1, top, right, bottom]);
  const length = 2 * (right - left + (bottom - top));
  return Math.min(1, quiet / length / Math.max(0.15, base));
}

function inRound({ x, y, width, height }: Part): boolean {
  const far = Math.max(Math.abs(x - 0.5), Math.abs(x + width - 0.5));
  const deep = Math.max(Math.abs(y - 0.5), Math.abs(y + height - 0.5));
  return Math.hypot(far, deep) <= 0.5;
}

const SIZES = [1, 0.85, 0.7, 0.58, 0.48, 0.4] as const;
const PLACES = 22;
/** Two crops that share more than this are the same one. */
const SAME = 0.45;

/**
 * The best parts of a face at a ratio, the best first, no two of them nearly the same.
 *
 * @param ratio width to height; both ways of lying are looked at
 * @throws InputError when the ratio is not above 0
 */
export function findCrops(bench: CropBench, ratio: number, most = 6): Crop[] {
  if (!(Number.isFinite(ratio) && ratio > 0)) {
    throw new InputError('ratio', 'Both numbers of the ratio are above 0, like 4 to 5.');
  }
  const { face } = bench.ground;
  const all: Crop[] = [];
  for (const lying of ratio === 1 ? [1] : [ratio, 1 / ratio]) {
    // In shares of the face a part of this ratio is so wide for its height.
    const shape = (lying * face.height) / face.width;
    const largest = shape >= 1 ? { width: 1, height: 1 / shape } : { width: shape, height: 1 };
    for (const size of SIZES) {
      const width = largest.width * size;
      const height = largest.height * size;
      for (const y of places(1 - height)) {
        for (const x of places(1 - width)) all.push(judgeCrop(bench, { x, y, width, height }));
      }
    }
  }
  all.sort((a, b) => b.score - a.score);
  const best: Crop[] = [];
  for (const crop of all) {
    if (best.every((other) => overlap(other.part, crop.part) <= SAME)) best.push(crop);
    if (best.length === most) break;
  }
  return best;
}

function places(room: number): number[] {
  if (room < 1e-6) return [0];
  const count = Math.max(2, Math.round(PLACES * room));
  return Array.from({ length: count }, (_, index) => (room * index) / (count - 1));
}

/** What two parts share, to what they cover together. */
export function overlap(a: Part, b: Part): number {
  const wide = Math.min(a.x + a.width, b.x + b.width) - Math.max(a.x, b.x);
  const high = Math.min(a.y + a.height, b.y + b.height) - Math.max(a.y, b.y);
  if (wide <= 0 || high <= 0) return 0;
  const shared = wide * high;
  return shared / (a.width * a.height + b.width * b.height - shared);
}
