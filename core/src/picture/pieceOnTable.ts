import { componentsOf } from './components.ts';
import { linearOf, oklabInto } from '../paint/color/oklab.ts';
import type { PhotoPixels } from './photo.ts';
import { opened } from './raster.ts';

const SMALL_PX = 420;
const BORDER_SHARE = 0.02;
const FAR_FROM_TABLE = 0.07;
const LEAST_SHARE = 0.12;

/** What lies on the table, in a photo made small. */
export interface PieceOnTable {
  /** 1 on the piece. */
  readonly mask: Uint8Array;
  readonly width: number;
  readonly height: number;
  /** Pixels of the photo to one of these. */
  readonly scale: number;
}

/** The largest piece of what differs from the table at the photo's rim; undefined when nothing does. */
export function pieceOnTable(photo: PhotoPixels): PieceOnTable | undefined {
  const small = shrink(photo);
  const mask = largestPiece(notTable(small), small.width, small.height);
  return mask && { mask, width: small.width, height: small.height, scale: photo.widthPx / small.width };
}

interface Small {
  readonly width: number;
  readonly height: number;
  readonly lab: Float32Array;
}

function shrink(photo: PhotoPixels): Small {
  const factor = Math.max(1, Math.max(photo.widthPx, photo.heightPx) / SMALL_PX);
  const width = Math.floor(photo.widthPx / factor);
  const height = Math.floor(photo.heightPx / factor);
  const lab = new Float32Array(width * height * 3);
  const take = Math.max(1, Math.floor(factor / 2));
  for (let y = 0; y < height; y += 1) {
    for (let x = 0; x < width; x += 1) {
      const sum = [0, 0, 0];
      let count = 0;
      for (let dy = 0; dy < factor; dy += take) {
        for (let dx = 0; dx < factor; dx += take) {
          const row = Math.min(photo.heightPx - 1, Math.floor(y * factor + dy));
          const column = Math.min(photo.widthPx - 1, Math.floor(x * factor + dx));
          const at = (row * photo.widthPx + column) * photo.channels;
          for (let channel = 0; channel < 3; channel += 1)
            sum[channel]! += linearOf(photo.data[at + channel]!);
          count += 1;
        }
      }
      oklabInto(sum[0]! / count, sum[1]! / count, sum[2]! / count, lab, 3 * (y * width + x));
    }
  }
  return { width, height, lab };
}

/** 1 where a pixel differs from what lies along the photo's rim. */
function notTable({ width, height, lab }: Small): Uint8Array {
  const rim = Math.max(2, Math.round(BORDER_SHARE * width));
  const values: [number[], number[], number[]] = [[], [], []];
  for (let y = 0; y < height; y += 1) {
    for (let x = 0; x < width; x += 1) {
      if (x >= rim && y >= rim && x < width - rim && y < height - rim) continue;
      for (let channel = 0; channel < 3; channel += 1)
        values[channel]!.push(lab[3 * (y * width + x) + channel]!);
    }
  }
  const table = values.map((each) => each.sort((a, b) => a - b)[each.length >> 1]!);
  const mask = new Uint8Array(width * height);
  for (let pixel = 0; pixel < mask.length; pixel += 1) {
    // Light falls off over a table, so a change of lightness tells less than one of color.
    const dl = 0.55 * (lab[3 * pixel]! - table[0]!);
    const da = lab[3 * pixel + 1]! - table[1]!;
    const db = lab[3 * pixel + 2]! - table[2]!;
    mask[pixel] = Math.hypot(dl, da, db) > FAR_FROM_TABLE ? 1 : 0;
  }
  return opened(mask, width, height, 2);
}

function largestPiece(mask: Uint8Array, width: number, height: number): Uint8Array | undefined {
  const parts = componentsOf(mask, width, height);
  let best = -1;
  for (let part = 0; part < parts.count; part += 1) {
    if (parts.label[part] && (best < 0 || parts.area[part]! > parts.area[best]!)) best = part;
  }
  if (best < 0 || parts.area[best]! < LEAST_SHARE * mask.length) return undefined;
  return mask.map((_, pixel) => (parts.of[pixel] === best ? 1 : 0));
}
