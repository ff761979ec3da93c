import type { CellSeed } from '../solver/cells.ts';

/** Edge of the squares in which seeds are looked up, m. */
export const BUCKET_M = 2.5e-3;
/** Numbers of a seed: place, radius, size; how its surroundings are stretched, inverted; kind and three spare ones. */
export const SEED_NUMBERS = 12;
/** A hole is drawn this share as stretched as the paint around it. */
const ELONGATION = 0.5;

/** Open holes sorted into squares, so that a pixel finds those around it. */
export interface PackedSeeds {
  readonly numbers: Float32Array;
  /** First seed and count of each square, row by row. */
  readonly buckets: Float32Array;
  readonly across: number;
  readonly down: number;
}

/** Sorts seeds for drawing. */
export function packSeeds(seeds: readonly CellSeed[], wideM: number, highM: number): PackedSeeds {
  const across = Math.ceil(wideM / BUCKET_M) + 1;
  const down = Math.ceil(highM / BUCKET_M) + 1;
  const lists: CellSeed[][] = Array.from({ length: across * down }, () => []);
  for (const seed of seeds) {
    if (!(seed.x >= 0 && seed.y >= 0 && seed.x <= wideM && seed.y <= highM)) continue;
    lists[Math.floor(seed.y / BUCKET_M) * across + Math.floor(seed.x / BUCKET_M)]!.push(seed);
  }
  const numbers = new Float32Array(SEED_NUMBERS * Math.max(1, seeds.length));
  const buckets = new Float32Array(2 * across * down);
  let count = 0;
  lists.forEach((list, bucket) => {
    buckets[2 * bucket] = count;
    buckets[2 * bucket + 1] = list.length;
    for (const seed of list) {
      numbers.set(
        [seed.x, seed.y, seed.radius, 0.6 + 0.4 * seed.strength, ...inverse(seed.stretch), seed.kind],
        SEED_NUMBERS * count,
      );
      count += 1;
    }
  });
  return { numbers, buckets, across, down };
}

/** From the face to the round frame of a seed: drawn out as the paint was, its area kept. */
function inverse(f: CellSeed['stretch']): [number, number, number, number] {
  const size = Math.sqrt(Math.max(1e-3, Math.abs(f[0] * f[3] - f[1] * f[2])));
  const a = 1 + (f[0] / size - 1) * ELONGATION;
  const d = 1 + (f[3] / size - 1) * ELONGATION;
  const [b, c] = [(f[1] / size) * ELONGATION, (f[2] / size) * ELONGATION];
  const area = a * d - b * c;
  if (!(area > 0.15)) return [1, 0, 0, 1];
  const keep = Math.sqrt(Math.max(0.2, area)) / area;
  return [d * keep, -b * keep, -c * keep, a * keep];
}
