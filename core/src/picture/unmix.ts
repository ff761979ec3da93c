import { oklabInto } from '../paint/color/oklab.ts';
import type { Labels } from './labels.ts';
import type { Seeds } from './seeds.ts';

/** So many mixtures of a pair are looked at, from all of the one to all of the other. */
const MIXES = 9;

/** The labels that one pixel may have, and what each costs beside its color being off. */
export interface Candidates {
  readonly seen: Int32Array;
  readonly label: Int32Array;
  readonly cost: Float64Array;
  size: number;
  /** Takes the labels that pass; gives how many there are. */
  choose(passes: (label: number) => boolean, costOf?: (label: number) => number): number;
}

/** OKLab of the mixtures of every pair of labels, 0/8 to 8/8 of the second in linear light. */
export function mixturesOf(seeds: Seeds): Float32Array {
  const count = seeds.names.length;
  const out = new Float32Array(count * count * MIXES * 3);
  for (let a = 0; a < count; a += 1) {
    for (let b = 0; b < count; b += 1) {
      for (let mix = 0; mix < MIXES; mix += 1) {
        const share = mix / (MIXES - 1);
        const [r, g, bl] = [0, 1, 2].map(
          (channel) => seeds.rgb[3 * a + channel]! * (1 - share) + seeds.rgb[3 * b + channel]! * share,
        ) as [number, number, number];
        oklabInto(r, g, bl, out, 3 * ((a * count + b) * MIXES + mix));
      }
    }
  }
  return out;
}

/**
 * Finds the best pair and share for one pixel, between two of the nine mixtures by the foot on their line.
 *
 * @returns the square of how far the color is from that mixture
 */
export function unmixInto(
  lab: Float32Array,
  found: Candidates,
  mixtures: Float32Array,
  count: number,
  { first, second, cover }: Labels,
  pixel: number,
): number {
  const at = 3 * pixel;
  const l = lab[at]!;
  const a = lab[at + 1]!;
  const b = lab[at + 2]!;
  const { label, cost, size } = found;
  if (size < 2) {
    if (size === 0) return Infinity;
    first[pixel] = label[0]!;
    // Mixed with itself it is itself.
    const p = 3 * label[0]! * (count + 1) * MIXES;
    return (l - mixtures[p]!) ** 2 + (a - mixtures[p + 1]!) ** 2 + (b - mixtures[p + 2]!) ** 2;
  }
  let least = Infinity;
  let off = Infinity;
  let bestFirst = label[0]!;
  let bestSecond = label[0]!;
  let bestShare = 0;
  for (let i = 0; i < size; i += 1) {
    for (let j = i + 1; j < size; j += 1) {
      const from = 3 * (label[i]! * count + label[j]!) * MIXES;
      for (let mix = 0; mix < MIXES - 1; mix += 1) {
        const p = from + 3 * mix;
        const dl = mixtures[p + 3]! - mixtures[p]!;
        const da = mixtures[p + 4]! - mixtures[p + 1]!;
        const db = mixtures[p + 5]! - mixtures[p + 2]!;
        const el = l - mixtures[p]!;
        const ea = a - mixtures[p + 1]!;
        const eb = b - mixtures[p + 2]!;
        let along = (el * dl + ea * da + eb * db) / (dl * dl + da * da + db * db + 1e-12);
        along = along < 0 ? 0 : along > 1 ? 1 : along;
        const rl = el - along * dl;
        const ra = ea - along * da;
        const rb = eb - along * db;
        const squared = rl * rl + ra * ra + rb * rb;
        const total = squared + cost[i]! + cost[j]!;
        if (total < least) {
          least = total;
          off = squared;
          bestFirst = label[i]!;
          bestSecond = label[j]!;
          bestShare = (mix + along) / (MIXES - 1);
        }
      }
    }
  }
  const swap = bestShare > 0.5;
  first[pixel] = swap ? bestSecond : bestFirst;
  second[pixel] = swap ? bestFirst : bestSecond;
  cover[pixel] = Math.round(255 * (swap ? bestShare : 1 - bestShare));
  return off;
}
