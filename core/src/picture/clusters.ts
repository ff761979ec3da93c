import type { Ground } from './label.ts';
import type { Face } from './rectify.ts';

/** A color that much of the face has. */
export interface Cluster {
  /** OKLab. */
  readonly lab: readonly [l: number, a: number, b: number];
  /** Linear RGB. */
  readonly rgb: readonly [r: number, g: number, b: number];
  /** Share of the smooth places. */
  readonly share: number;
}

const SAMPLES = 60_000;
/** Side of a bin, and how far around a mode its color reaches, in OKLab. */
const BIN = 0.02;
const REACH = 0.035;
/** Modes closer than this are one. */
const ONE = 0.03;
const LEAST_SHARE = 0.003;
const ROUNDS = 6;

interface Bin {
  count: number;
  /** Sums of OKLab and of linear RGB. */
  readonly sums: Float64Array;
}

/** The colors that smooth places have most of, most common first: the modes of their spread in OKLab (mean shift). */
export function clustersOf(face: Face, { lab, core }: Ground, unseen?: Uint8Array): Cluster[] {
  const bins = new Map<number, Bin>();
  const pixels = face.width * face.height;
  const every = Math.max(1, Math.floor(pixels / SAMPLES));
  let all = 0;
  for (let pixel = 0; pixel < pixels; pixel += every) {
    if (!core[pixel] || !face.onFace[pixel] || face.clipped[pixel] || unseen?.[pixel]) continue;
    const at = 3 * pixel;
    const key = keyOf(lab[at]!, lab[at + 1]!, lab[at + 2]!);
    const bin = bins.get(key) ?? { count: 0, sums: new Float64Array(6) };
    bins.set(key, bin);
    bin.count += 1;
    all += 1;
    for (let channel = 0; channel < 3; channel += 1) {
      bin.sums[channel]! += lab[at + channel]!;
      bin.sums[3 + channel]! += face.rgb[at + channel]!;
    }
  }
  const filled = [...bins.values()].sort((a, b) => b.count - a.count);
  const modes: Cluster[] = [];
  for (const bin of filled) {
    if (bin.count < (LEAST_SHARE / 8) * all) break;
    if (modes.some((each) => apart(each.lab, meanOf(bin, 0)) < REACH)) continue;
    const mode = climbed(filled, bin, all);
    if (mode.share < LEAST_SHARE || modes.some((each) => apart(each.lab, mode.lab) < ONE)) continue;
    modes.push(mode);
  }
  return modes.sort((a, b) => b.share - a.share);
}

/** From a bin up to the mode it leads to. */
function climbed(bins: readonly Bin[], start: Bin, all: number): Cluster {
  let found = near(bins, meanOf(start, 0));
  for (let round = 0; round < ROUNDS; round += 1) found = near(bins, meanOf(found, 0));
  return { lab: meanOf(found, 0), rgb: meanOf(found, 3), share: found.count / all };
}

/** Mean of three of its sums, from the first one given. */
function meanOf({ count, sums }: Bin, from: 0 | 3): readonly [number, number, number] {
  return [sums[from]! / count, sums[from + 1]! / count, sums[from + 2]! / count];
}

function near(bins: readonly Bin[], to: Cluster['lab']): Bin {
  const found: Bin = { count: 0, sums: new Float64Array(6) };
  for (const { count, sums } of bins) {
    const off = Math.hypot(sums[0]! / count - to[0], sums[1]! / count - to[1], sums[2]! / count - to[2]);
    if (off > REACH) continue;
    found.count += count;
    sums.forEach((value, index) => {
      found.sums[index]! += value;
    });
  }
  return found;
}

const keyOf = (l: number, a: number, b: number) =>
  Math.floor(l / BIN) * 10_000 + Math.floor((a + 0.5) / BIN) * 100 + Math.floor((b + 0.5) / BIN);

export const apart = (one: ArrayLike<number>, other: ArrayLike<number>): number =>
  Math.hypot(one[0]! - other[0]!, one[1]! - other[1]!, one[2]! - other[2]!);
