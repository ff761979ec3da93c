import { apart, type Cluster } from './clusters.ts';
import { fromRgb, type Seeds } from './seeds.ts';

/** Nearer than this in OKLab, a color is as it was mixed. */
const AS_MIXED = 0.03;
/** Farther off, it is another color. */
const BOUND = 0.14;
/** A color that is so far off by itself, or so many times as far as is usual, is not taken for granted. */
const ALONE = 0.05;
const TIMES_USUAL = 2;
/** A color of less of the face than this may be a mixture of others: it is neither taken nor asked for. */
const WORTH_ASKING = 0.03;
/** Where a second color lies at most so much farther away, it is not clear which one is meant. */
const CLEARLY = 1.3;

/** The colors as the picture has them, and those that only the artist can point out. */
export interface Adapted {
  readonly seeds: Seeds;
  readonly asked: readonly string[];
}

/**
 * Finds each color of the palette among the colors that the picture has: the nearest pair first, each cluster for one
 * color. What is farther off than the bound, or might as well be another, is not guessed.
 */
export function adaptSeeds(given: Seeds, clusters: readonly Cluster[]): Adapted {
  const colors = given.names.map((name, index) => ({
    name,
    index,
    lab: given.lab.subarray(3 * index, 3 * index + 3),
  }));
  const pairs = colors
    .flatMap((seed) => clusters.map((cluster) => ({ seed, cluster, off: apart(seed.lab, cluster.lab) })))
    .filter(({ off }) => off < BOUND)
    .sort((a, b) => a.off - b.off);
  const found = new Set<number>();
  const taken = new Set<Cluster>();
  const asked = new Set<string>();
  const rgb = Float32Array.from(given.rgb);
  const matched: number[] = [];
  for (const { seed, cluster, off } of pairs) {
    if (found.has(seed.index) || taken.has(cluster)) continue;
    found.add(seed.index);
    matched.push(off);
    if (off < AS_MIXED) {
      taken.add(cluster);
      continue;
    }
    if (off > Math.max(ALONE, TIMES_USUAL * middle(matched))) {
      if (cluster.share >= WORTH_ASKING) asked.add(seed.name);
      continue;
    }
    const isUnclear = pairs.some(
      (pair) =>
        (pair.seed === seed &&
          pair.cluster !== cluster &&
          pair.off < (taken.has(pair.cluster) ? 1 : CLEARLY) * off) ||
        (pair.cluster === cluster && !found.has(pair.seed.index) && pair.off < CLEARLY * off),
    );
    if (isUnclear && cluster.share < WORTH_ASKING) continue;
    taken.add(cluster);
    rgb.set(cluster.rgb, 3 * seed.index);
    if (isUnclear) asked.add(seed.name);
  }
  const moved = rgb.some((value, at) => value !== given.rgb[at]);
  const seeds = moved ? fromRgb(given.names, rgb, given.base, given.activator) : given;
  return { seeds, asked: [...asked] };
}

const middle = (values: readonly number[]) =>
  [...values].sort((a, b) => a - b)[Math.floor(values.length / 2)]!;
