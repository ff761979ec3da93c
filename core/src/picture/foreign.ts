import { componentsOf } from './components.ts';
import type { Ground } from './label.ts';
import { grown, opened } from './raster.ts';
import type { Face } from './rectify.ts';
import { nearestSeed, type Nearest, type Seeds } from './seeds.ts';

/** Farther from every color of the palette, in OKLab. */
const STRANGE = 0.07;
/** Gray and strange is mud, but for what reaches in from the rim. */
const LEAST_CHROMA = 0.045;
/** Side of a block, mm, and the share of it that is strange: an edge between two colors is strange, but narrow. */
const BLOCK_MM = 1;
const MOSTLY = 0.7;
/** Every second pixel of a row, and every second row, tell enough. */
const STRIDE = 2;
/** Of a hand, a tool or a card no part is thinner, mm. */
const THIN_MM = 4;
const LEAST_SHARE = 0.01;
const GROWN_MM = 1.5;

interface Blocks {
  readonly strange: Uint8Array;
  /** Mean of OKLab's a and b in each. */
  readonly a: Float32Array;
  readonly b: Float32Array;
  readonly across: number;
  readonly down: number;
  /** Pixels to a block. */
  readonly side: number;
}

/**
 * Things in front of the face: large places of a color that no cup has, and gray ones that reach in from the rim.
 *
 * @returns 1 where something else lies, with a margin
 */
export function foreignOf(face: Face, ground: Ground, seeds: Seeds, glare: Uint8Array): Uint8Array {
  const { width, height, pxPerMm } = face;
  const blocks = blocksOf(face, ground, seeds, glare);
  const { across, down, side } = blocks;
  const perBlock = pxPerMm / side;
  const thick = opened(blocks.strange, across, down, (THIN_MM / 2) * perBlock);
  const out = new Uint8Array(width * height);
  if (!thick.includes(1)) return out;
  const things = grown(thingsIn(thick, blocks), across, down, GROWN_MM * perBlock);
  return out.map((_, pixel) => {
    const column = Math.min(across - 1, Math.floor((pixel % width) / side));
    const row = Math.min(down - 1, Math.floor(Math.floor(pixel / width) / side));
    return things[row * across + column]!;
  });
}

function blocksOf(face: Face, { lab }: Ground, seeds: Seeds, glare: Uint8Array): Blocks {
  const { width, height, pxPerMm, onFace } = face;
  const side = Math.max(1, Math.round(BLOCK_MM * pxPerMm));
  const across = Math.max(1, Math.floor(width / side));
  const down = Math.max(1, Math.floor(height / side));
  const [strange, a, b] = [
    new Uint8Array(across * down),
    new Float32Array(across * down),
    new Float32Array(across * down),
  ];
  const nearest: Nearest = { seed: 0, squared: 0 };
  for (let row = 0; row < down; row += 1) {
    for (let column = 0; column < across; column += 1) {
      let [off, seen, sumA, sumB] = [0, 0, 0, 0];
      for (let y = row * side; y < (row + 1) * side; y += STRIDE) {
        for (
          let pixel = y * width + column * side;
          pixel < y * width + (column + 1) * side;
          pixel += STRIDE
        ) {
          if (!onFace[pixel] || glare[pixel]) continue;
          const at = 3 * pixel;
          nearestSeed(seeds, lab[at]!, lab[at + 1]!, lab[at + 2]!, nearest);
          seen += 1;
          if (nearest.squared > STRANGE * STRANGE) off += 1;
          sumA += lab[at + 1]!;
          sumB += lab[at + 2]!;
        }
      }
      const block = row * across + column;
      strange[block] = seen > 0 && off > MOSTLY * seen ? 1 : 0;
      a[block] = sumA / Math.max(1, seen);
      b[block] = sumB / Math.max(1, seen);
    }
  }
  return { strange, a, b, across, down, side };
}

/** Of the strange places those that are large, and either of a color or at the rim. */
function thingsIn(thick: Uint8Array, { a, b, across, down }: Blocks): Uint8Array {
  const { count, of, label, area } = componentsOf(thick, across, down);
  const sums = Array.from({ length: count }, () => ({ a: 0, b: 0, isAtRim: false }));
  thick.forEach((value, block) => {
    if (!value) return;
    const sum = sums[of[block]!]!;
    sum.a += a[block]!;
    sum.b += b[block]!;
    const [x, y] = [block % across, Math.floor(block / across)];
    if (x === 0 || y === 0 || x === across - 1 || y === down - 1) sum.isAtRim = true;
  });
  const isThing = sums.map(
    ({ a: sumA, b: sumB, isAtRim }, patch) =>
      label[patch] === 1 &&
      area[patch]! >= LEAST_SHARE * thick.length &&
      (isAtRim || Math.hypot(sumA, sumB) / area[patch]! >= LEAST_CHROMA),
  );
  return thick.map((value, block) => (value && isThing[of[block]!] ? 1 : 0));
}
