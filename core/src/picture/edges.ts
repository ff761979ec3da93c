import { oklabInto } from '../paint/color/oklab.ts';
import type { Ground } from './label.ts';
import type { Face } from './rectify.ts';
import { nearestSeed, type Nearest, type Seeds } from './seeds.ts';

/** What each pixel shows. */
export interface Labels {
  /** The label that covers most of the pixel. */
  readonly first: Uint8Array;
  /** The label that covers the rest. */
  readonly second: Uint8Array;
  /** How much of the pixel the first label covers, 128 to 255 for a half to all of it. */
  readonly cover: Uint8Array;
}

const REACH = 3;
const WINDOW = (2 * REACH + 1) ** 2;
const SETTLING_ROUNDS = 2;
/** What the logarithm of a label's share of the window weighs, against squares of OKLab distances. */
const RARE = 1.5e-3;
const MIXES = 9;
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

/** The labels that one pixel may have, and what each costs beside its color being off. */
interface Candidates {
  readonly seen: Int32Array;
  readonly label: Int32Array;
  readonly cost: Float64Array;
  size: number;
  /** Takes the labels that pass; gives how many there are. */
  choose(passes: (label: number) => boolean, costOf?: (label: number) => number): number;
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

const RIDGE_COVER = 0.2;
const RIDGE_RISE = 0.1;

/**
 * Keeps thin strokes whole, in place: where a stroke narrows to less than a pixel it covers less than half
 * of any, but its cover still runs along a ridge. Pixels on the ridge get its label; covers stay as they are.
 */
export function keepStrokes(labels: Labels, label: number, width: number, height: number): void {
  const { first, second, cover } = labels;
  const share = new Float32Array(first.length);
  for (let pixel = 0; pixel < share.length; pixel += 1) {
    if (first[pixel] === label) share[pixel] = cover[pixel]! / 255;
    else if (second[pixel] === label) share[pixel] = 1 - cover[pixel]! / 255;
  }
  const ridge: number[] = [];
  for (let y = 2; y < height - 2; y += 1) {
    for (let x = 2; x < width - 2; x += 1) {
      const pixel = y * width + x;
      const own = share[pixel]!;
      if (first[pixel] === label || own < RIDGE_COVER) continue;
      for (const step of [1, width, width + 1, width - 1]) {
        if (own < share[pixel - step]! || own < share[pixel + step]!) continue;
        if (own - Math.max(share[pixel - 2 * step]!, share[pixel + 2 * step]!) < RIDGE_RISE) continue;
        ridge.push(pixel);
        break;
      }
    }
  }
  for (const pixel of ridge) {
    second[pixel] = first[pixel]!;
    first[pixel] = label;
    cover[pixel] = 255 - cover[pixel]!;
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

/** OKLab of the mixtures of every pair of labels, 0/8 to 8/8 of the second in linear light. */
function mixturesOf(seeds: Seeds): Float32Array {
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
function unmixInto(
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

/** Gives unseen pixels the labels of the nearest seen ones, in place, so that nothing breaks apart there. */
export function fillUnseen(labels: Labels, unseen: Uint8Array, width: number, height: number): void {
  const { first, second, cover } = labels;
  const open = Uint8Array.from(unseen);
  let ring: number[] = [];
  for (let pixel = 0; pixel < open.length; pixel += 1)
    if (open[pixel] && nextSeen(pixel) >= 0) ring.push(pixel);
  function nextSeen(pixel: number): number {
    const x = pixel % width;
    if (x > 0 && !open[pixel - 1]) return pixel - 1;
    if (x < width - 1 && !open[pixel + 1]) return pixel + 1;
    if (pixel >= width && !open[pixel - width]) return pixel - width;
    if (pixel < width * (height - 1) && !open[pixel + width]) return pixel + width;
    return -1;
  }
  while (ring.length > 0) {
    const sources = ring.map(nextSeen);
    const further: number[] = [];
    ring.forEach((pixel, index) => {
      const source = sources[index]!;
      if (!open[pixel] || source < 0) return;
      first[pixel] = first[source]!;
      second[pixel] = first[source]!;
      cover[pixel] = 255;
    });
    for (const pixel of ring) open[pixel] = 0;
    for (const pixel of ring) {
      const x = pixel % width;
      for (const next of [
        x > 0 ? pixel - 1 : -1,
        x < width - 1 ? pixel + 1 : -1,
        pixel - width,
        pixel + width,
      ]) {
        if (next >= 0 && next < open.length && open[next]) further.push(next);
      }
    }
    ring = [...new Set(further)];
  }
}

/** Labels of a picture that is known exactly: every pixel is all of one color. */
export function labelsWithoutEdges(first: Uint8Array): Labels {
  return { first, second: first, cover: new Uint8Array(first.length).fill(255) };
}
