import { oklabInto } from '../paint/color/oklab.ts';
import type { Face } from './rectify.ts';
import { fromRgb, nearestSeed, type Nearest, type Seeds } from './seeds.ts';

/** OKLab of every pixel, and which pixels lie inside one color rather than on an edge. */
export interface Ground {
  readonly lab: Float32Array;
  readonly core: Uint8Array;
}

const LEAST_STEP = 0.011;

/** Pixels where the color changes little from one side to the other are core; noise sets how little. */
export function groundOf(face: Face): Ground {
  const { width, height, rgb } = face;
  const lab = new Float32Array(rgb.length);
  for (let at = 0; at < rgb.length; at += 3) oklabInto(rgb[at]!, rgb[at + 1]!, rgb[at + 2]!, lab, at);
  const squares = new Float32Array(width * height);
  for (let y = 0; y < height; y += 1) {
    const up = y > 0 ? -width : 0;
    const down = y < height - 1 ? width : 0;
    for (let x = 0; x < width; x += 1) {
      const pixel = y * width + x;
      const left = x > 0 ? -1 : 0;
      const right = x < width - 1 ? 1 : 0;
      let sum = 0;
      for (let channel = 0; channel < 3; channel += 1) {
        const across = lab[3 * (pixel + right) + channel]! - lab[3 * (pixel + left) + channel]!;
        const along = lab[3 * (pixel + down) + channel]! - lab[3 * (pixel + up) + channel]!;
        sum += across * across + along * along;
      }
      squares[pixel] = sum / 4;
    }
  }
  const limit = Math.max(LEAST_STEP, 2.6 * usualStep(squares));
  const core = new Uint8Array(width * height);
  for (let pixel = 0; pixel < core.length; pixel += 1) {
    core[pixel] = squares[pixel]! < limit * limit ? 1 : 0;
  }
  return { lab, core };
}

/** The step that noise makes: a low quantile of all of them, which edges do not reach. */
function usualStep(squares: Float32Array): number {
  const every = Math.max(1, Math.floor(squares.length / 20_000));
  const few: number[] = [];
  for (let at = 0; at < squares.length; at += every) few.push(squares[at]!);
  few.sort((a, b) => a - b);
  return Math.sqrt(few[Math.floor(few.length * 0.35)] ?? 0);
}

const LLOYD_ROUNDS = 4;
const NEAR = 0.1;

/**
 * Moves the seeds to the middle of what lies nearest to each (Lloyd's rounds on core pixels), never
 * further than the cap from where they started.
 *
 * @param cap furthest drift in OKLab
 */
export function refineSeeds(face: Face, ground: Ground, start: Seeds, cap: number): Seeds {
  const count = start.names.length;
  const pixels = face.width * face.height;
  const every = Math.max(1, Math.floor(pixels / 250_000));
  const nearest: Nearest = { seed: 0, squared: 0 };
  let seeds = start;
  for (let round = 0; round < LLOYD_ROUNDS; round += 1) {
    const near = NEAR * (1 - (0.4 * round) / LLOYD_ROUNDS);
    const sums = new Float64Array(count * 4);
    for (let pixel = 0; pixel < pixels; pixel += every) {
      if (!ground.core[pixel] || !face.onFace[pixel] || face.clipped[pixel]) continue;
      const at = 3 * pixel;
      nearestSeed(seeds, ground.lab[at]!, ground.lab[at + 1]!, ground.lab[at + 2]!, nearest);
      if (nearest.squared > near * near) continue;
      const to = 4 * nearest.seed;
      sums[to]! += face.rgb[at]!;
      sums[to + 1]! += face.rgb[at + 1]!;
      sums[to + 2]! += face.rgb[at + 2]!;
      sums[to + 3]! += 1;
    }
    const rgb = Float32Array.from(seeds.rgb);
    for (let seed = 0; seed < count; seed += 1) {
      const weight = sums[4 * seed + 3]!;
      if (weight < 12) continue;
      for (let channel = 0; channel < 3; channel += 1) {
        rgb[3 * seed + channel] = sums[4 * seed + channel]! / weight;
      }
    }
    const moved = fromRgb(start.names, rgb, start.base, start.activator);
    for (let seed = 0; seed < count; seed += 1) holdBack(start, moved, seed, cap);
    seeds = fromRgb(start.names, moved.rgb, start.base, start.activator);
  }
  return seeds;
}

/** Shortens the way from the start to where a seed went until it is no longer than the cap. */
function holdBack(start: Seeds, moved: Seeds, seed: number, cap: number): void {
  const at = 3 * seed;
  const drift = Math.hypot(
    moved.lab[at]! - start.lab[at]!,
    moved.lab[at + 1]! - start.lab[at + 1]!,
    moved.lab[at + 2]! - start.lab[at + 2]!,
  );
  if (drift <= cap) return;
  for (let channel = 0; channel < 3; channel += 1) {
    const from = start.rgb[at + channel]!;
    moved.rgb[at + channel] = from + (moved.rgb[at + channel]! - from) * (cap / drift);
  }
}
