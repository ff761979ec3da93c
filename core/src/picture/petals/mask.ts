import type { Cell } from '../cells.ts';
import type { Labels } from '../labels.ts';
import { opened } from '../raster.ts';
import type { Seeds } from '../seeds.ts';

/** Where paint lies, 1 or 0 a pixel. */
export interface FlowerMask {
  /** The colors without the activator, its net and the cells in it. */
  readonly solid: Uint8Array;
  /** Everything that is not base. */
  readonly covered: Uint8Array;
  readonly width: number;
  readonly height: number;
  readonly pxPerMm: number;
}

/** A cell is left out with this much of what is around it. */
const CELL_ROOM = 1.25;

/** Which pixels of a labeled face hold color, and which hold anything but base. */
export function paintOf(
  { first }: Labels,
  { names, base, activator }: Seeds,
  cells: readonly Cell[],
  {
    onFace,
    width,
    height,
    pxPerMm,
  }: Pick<FlowerMask, 'width' | 'height' | 'pxPerMm'> & { onFace: Uint8Array },
): FlowerMask {
  const covered = first.map((label, pixel) => (label !== base && onFace[pixel] ? 1 : 0));
  const solid = first.map((label, pixel) =>
    covered[pixel] && label !== activator && label < names.length ? 1 : 0,
  );
  for (const { xMm, yMm, diameterMm, label, around } of cells) {
    if (around !== activator) continue;
    const radius = ((diameterMm / 2) * CELL_ROOM * pxPerMm) ** 2;
    const reach = Math.ceil(Math.sqrt(radius));
    const [x, y] = [Math.round(xMm * pxPerMm), Math.round(yMm * pxPerMm)];
    for (let row = Math.max(0, y - reach); row <= Math.min(height - 1, y + reach); row += 1) {
      for (let column = Math.max(0, x - reach); column <= Math.min(width - 1, x + reach); column += 1) {
        const pixel = row * width + column;
        const isIn = (column - x) ** 2 + (row - y) ** 2 <= radius;
        if (isIn && first[pixel] === label) solid[pixel] = 0;
      }
    }
  }
  return { solid, covered, width, height, pxPerMm };
}

const COARSER = 4;
/** Of a petal no part is thinner than this, in millimeters; what is left of a net is. */
const THIN_MM = 2;

/** Every 4 by 4 pixels as one, without specks: what petals are counted on. */
export function flowerMask({ solid, covered, width, height, pxPerMm }: FlowerMask): FlowerMask {
  const w = Math.floor(width / COARSER);
  const h = Math.floor(height / COARSER);
  const coarse = (mask: Uint8Array, thinMm: number) =>
    opened(coarser(mask, width, w, h), w, h, Math.max(1, (thinMm / 2) * (pxPerMm / COARSER)));
  return {
    solid: coarse(solid, THIN_MM),
    covered: coarse(covered, THIN_MM),
    width: w,
    height: h,
    pxPerMm: pxPerMm / COARSER,
  };
}

function coarser(mask: Uint8Array, width: number, w: number, h: number): Uint8Array {
  const out = new Uint8Array(w * h);
  for (let y = 0; y < h; y += 1) {
    for (let x = 0; x < w; x += 1) {
      let count = 0;
      for (let sub = 0; sub < COARSER * COARSER; sub += 1) {
        count += mask[(y * COARSER + Math.floor(sub / COARSER)) * width + x * COARSER + (sub % COARSER)]!;
      }
      out[y * w + x] = count > (COARSER * COARSER) / 2 ? 1 : 0;
    }
  }
  return out;
}
