import type { Ground } from './label.ts';
import type { Face } from './rectify.ts';
import type { Labels } from './labels.ts';
import { nearestSeed, type Nearest, type Seeds } from './seeds.ts';
import { mixturesOf, unmixInto, type Candidates } from './unmix.ts';

const REACH = 3;
const WINDOW = (2 * REACH + 1) ** 2;
const SETTLING_ROUNDS = 2;
/** What the logarithm of a label's share of the window weighs, against squares of OKLab distances. */
const RARE = 1.5e-3;
const SURE = 0.032;
/** A mixture closer than this explains an edge. */
const EXPLAINED = 0.045;
/** Blocks of 16 pixels. */
const BLOCK_BITS = 4;

/**
 * Labels every pixel. Inside a color the nearest seed wins. On an edge the pixel is a mixture, in linear
 * light, of two labels that are seen within 3 pixels of it: the pair and share whose color comes nearest.
 *
 * @param seeds with mud as a further label, where there is mud
 * @param mudMask pixels known to be mud, which is the last label then
 */
export function labelsOf(
  face: Face,
  ground: Ground,
  seeds: Seeds,
  mudMask: Uint8Array | undefined,
  glare: Uint8Array,
): Labels {
  const { width, height } = face;
  const { lab, core } = ground;
  const count = seeds.names.length;
  const first = new Uint8Array(width * height);
  const second = new Uint8Array(width * height);
  const cover = new Uint8Array(width * height).fill(255);
  const known = new Uint8Array(width * height);
  const nearest: Nearest = { seed: 0, squared: 0 };
  const colors = mudMask ? withoutLast(seeds) : seeds;
  for (let pixel = 0; pixel < first.length; pixel += 1) {
    const at = 3 * pixel;
    if (mudMask?.[pixel]) {
      first[pixel] = count - 1;
      known[pixel] = 1;
      continue;
    }
    nearestSeed(colors, lab[at]!, lab[at + 1]!, lab[at + 2]!, nearest);
    first[pixel] = nearest.seed;
    known[pixel] = core[pixel] && !glare[pixel] && nearest.squared < SURE * SURE ? 1 : 0;
  }
  const edges: Edges = { lab, width, height, open: isOpen, mixtures: mixturesOf(seeds), count, seeds };
  const labels = { first, second, cover };
  guess(edges, known, labels);
  for (let round = 0; round < SETTLING_ROUNDS; round += 1) settle(edges, labels);
  return labels;

  function isOpen(pixel: number): boolean {
    return !known[pixel] && !glare[pixel];
  }
}

/** What the two passes over the edge pixels work on. */
interface Edges {
  readonly lab: Float32Array;
  readonly width: number;
  readonly height: number;
  readonly open: (pixel: number) => boolean;
  readonly mixtures: Float32Array;
  readonly count: number;
  readonly seeds: Seeds;
}

/** First guess: of the labels surely seen nearby, the pair and share whose color comes nearest. */
function guess(
  { lab, width, height, open, mixtures, count, seeds }: Edges,
  known: Uint8Array,
  labels: Labels,
) {
  const { first } = labels;
  const found = candidates(count);
  const activatorBit = seeds.activator >= 0 ? 1 << seeds.activator : 0;
  const around = labelsAround(first, known, width, height);
  for (let y = 0; y < height; y += 1) {
    for (let x = 0; x < width; x += 1) {
      const pixel = y * width + x;
      if (!open(pixel)) continue;
      countAround(first, known, width, height, x, y, found.seen);
      const some = found.choose((label) => found.seen[label]! > 0);
      const off = unmixInto(lab, found, mixtures, count, labels, pixel);
      const enough = some === 1 ? SURE : EXPLAINED;
      if (off < enough * enough) continue;
      // A stroke too thin to show its own color anywhere near: look for it a little further away; the
      // activator may be anywhere, its net seldom shows its own color.
      const nearby =
        activatorBit | around[(y >> BLOCK_BITS) * (((width - 1) >> BLOCK_BITS) + 1) + (x >> BLOCK_BITS)]!;
      found.choose((label) => (nearby & (1 << label)) !== 0);
      unmixInto(lab, found, mixtures, count, labels, pixel);
    }
  }
}

/**
 * Second look: each edge pixel is unmixed again, a label being the less likely the fewer pixels around have it
 * (iterated conditional modes, Besag 1986, from memory). Without it the rim of a cell takes the name of any color
 * that happens to lie between its two, and cells of near colors come out ragged.
 */
function settle({ lab, width, height, open, mixtures, count }: Edges, labels: Labels): void {
  const before = Uint8Array.from(labels.first);
  const found = candidates(count);
  for (let y = 0; y < height; y += 1) {
    for (let x = 0; x < width; x += 1) {
      const pixel = y * width + x;
      if (!open(pixel)) continue;
      countAround(before, undefined, width, height, x, y, found.seen);
      const some = found.choose(
        (label) => found.seen[label]! > 0,
        (label) => -RARE * Math.log(found.seen[label]! / WINDOW),
      );
      if (some > 1) unmixInto(lab, found, mixtures, count, labels, pixel);
    }
  }
}

function candidates(count: number): Candidates {
  return {
    seen: new Int32Array(count),
    label: new Int32Array(count),
    cost: new Float64Array(count),
    size: 0,
    choose(passes, costOf) {
      this.size = 0;
      for (let label = 0; label < count; label += 1) {
        if (!passes(label)) continue;
        this.label[this.size] = label;
        this.cost[this.size] = costOf ? costOf(label) : 0;
        this.size += 1;
      }
      return this.size;
    },
  };
}

/** How often each label is seen in the window around a pixel, where the mask allows. */
function countAround(
  labels: Uint8Array,
  mask: Uint8Array | undefined,
  width: number,
  height: number,
  x: number,
  y: number,
  seen: Int32Array,
): void {
  seen.fill(0);
  const top = Math.max(0, y - REACH);
  const bottom = Math.min(height - 1, y + REACH);
  const left = Math.max(0, x - REACH);
  const right = Math.min(width - 1, x + REACH);
  for (let row = top; row <= bottom; row += 1) {
    for (let near = row * width + left; near <= row * width + right; near += 1) {
      if (!mask || mask[near]) seen[labels[near]!]! += 1;
    }
  }
}

/** For each block of pixels the labels surely seen in it or in one of its neighbors, one bit each. */
function labelsAround(first: Uint8Array, known: Uint8Array, width: number, height: number): Int32Array {
  const columns = ((width - 1) >> BLOCK_BITS) + 1;
  const rows = ((height - 1) >> BLOCK_BITS) + 1;
  const own = new Int32Array(columns * rows);
  for (let y = 0; y < height; y += 1) {
    for (let x = 0; x < width; x += 1) {
      const pixel = y * width + x;
      if (known[pixel]) own[(y >> BLOCK_BITS) * columns + (x >> BLOCK_BITS)]! |= 1 << first[pixel]!;
    }
  }
  return own.map((_, block) => {
    let bits = 0;
    const column = block % columns;
    const row = Math.floor(block / columns);
    for (let up = Math.max(0, row - 1); up <= Math.min(rows - 1, row + 1); up += 1) {
      for (let left = Math.max(0, column - 1); left <= Math.min(columns - 1, column + 1); left += 1) {
        bits |= own[up * columns + left]!;
      }
    }
    return bits;
  });
}

function withoutLast(seeds: Seeds): Seeds {
  return { ...seeds, names: seeds.names.slice(0, -1), lab: seeds.lab.subarray(0, seeds.lab.length - 3) };
}
