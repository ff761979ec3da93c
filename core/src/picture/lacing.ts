import { componentsOf } from './components.ts';
import type { Labels } from './labels.ts';
import { opened } from './raster.ts';
import { skeletonLength } from './skeleton.ts';

export interface Lacing {
  /** 1 on the net. */
  readonly mask: Uint8Array;
  readonly areaPx: number;
  readonly lengthPx: number;
}

const SHEET_MM = 2.5;
const LEAST_SPAN_MM = 8;

/**
 * The net: what the activator covers, without its broad sheets (anything a disc of 2.5 mm fits into) and
 * without short bits. Its length is that of its middle line, its area counts edge pixels by their cover.
 */
export function lacingOf(
  labels: Labels,
  activator: number,
  width: number,
  height: number,
  pxPerMm: number,
): Lacing {
  const empty = { mask: new Uint8Array(width * height), areaPx: 0, lengthPx: 0 };
  if (activator < 0) return empty;
  const all = labels.first.map((label) => (label === activator ? 1 : 0));
  if (!all.includes(1)) return empty;
  const sheets = opened(all, width, height, (SHEET_MM / 2) * pxPerMm);
  const strokes = all.map((value, pixel) => (value && !sheets[pixel] ? 1 : 0));
  const mask = longOnly(strokes, width, height, LEAST_SPAN_MM * pxPerMm);
  return {
    mask,
    areaPx: softCount(mask, labels, activator, width, height),
    lengthPx: skeletonLength(mask, width, height),
  };
}

/** Keeps the parts that reach at least this far from end to end. */
function longOnly(mask: Uint8Array, width: number, height: number, leastPx: number): Uint8Array {
  const parts = componentsOf(mask, width, height);
  const box = new Int32Array(parts.count * 4);
  for (let part = 0; part < parts.count; part += 1) box.set([width, height, -1, -1], 4 * part);
  for (let pixel = 0; pixel < mask.length; pixel += 1) {
    if (!mask[pixel]) continue;
    const at = 4 * parts.of[pixel]!;
    const x = pixel % width;
    const y = (pixel - x) / width;
    box[at] = Math.min(box[at]!, x);
    box[at + 1] = Math.min(box[at + 1]!, y);
    box[at + 2] = Math.max(box[at + 2]!, x);
    box[at + 3] = Math.max(box[at + 3]!, y);
  }
  return mask.map((value, pixel) => {
    if (!value) return 0;
    const at = 4 * parts.of[pixel]!;
    return Math.hypot(box[at + 2]! - box[at]! + 1, box[at + 3]! - box[at + 1]! + 1) >= leastPx ? 1 : 0;
  });
}

/** Area of the mask, edge pixels counted by how much of them the label covers. */
function softCount(
  mask: Uint8Array,
  { first, second, cover }: Labels,
  label: number,
  width: number,
  height: number,
): number {
  let sum = 0;
  for (let y = 1; y < height - 1; y += 1) {
    for (let x = 1; x < width - 1; x += 1) {
      const pixel = y * width + x;
      if (mask[pixel]) {
        sum += first[pixel] === label ? cover[pixel]! / 255 : 1;
      } else if (second[pixel] === label && first[pixel] !== label && cover[pixel]! < 255) {
        const beside = mask[pixel - 1]! | mask[pixel + 1]! | mask[pixel - width]! | mask[pixel + width]!;
        if (beside) sum += 1 - cover[pixel]! / 255;
      }
    }
  }
  return sum;
}
