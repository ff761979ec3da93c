import { leastSquares } from '../statistics/index.ts';
import { componentsOf } from './components.ts';
import { linearOf, oklabInto } from './oklab.ts';
import { opened } from './raster.ts';
import type { Corners, PhotoPixels, Point } from './photo.ts';

export interface FoundCorners {
  readonly corners: Corners;
  /** False when the support could not be told from the table, and the corners are a mere beginning. */
  readonly isSure: boolean;
}

const SMALL_PX = 420;
const BORDER_SHARE = 0.02;
const FAR_FROM_TABLE = 0.07;
const LEAST_SHARE = 0.12;
const LOOKS = 60;

/**
 * Finds the support's four corners: what differs from the table at the photo's rim, its largest piece, a
 * quadrilateral round it, and then each side again at full resolution where the color changes most.
 */
export function findCorners(photo: PhotoPixels): FoundCorners {
  const small = shrink(photo);
  const mask = notTable(small);
  const piece = largestPiece(mask, small.width, small.height);
  if (!piece) return { corners: inset(photo), isSure: false };
  const scale = photo.widthPx / small.width;
  const rough = extremes(piece, small.width).map(([x, y]): Point => [(x + 0.5) * scale, (y + 0.5) * scale]);
  const corners = refine(photo, rough as unknown as Corners, 5 * scale);
  const isSure = fillsItsFrame(piece, corners, scale);
  return { corners, isSure };
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

/** The pixels that lie farthest toward the four corners of the photo. */
function extremes(piece: Uint8Array, width: number): [Point, Point, Point, Point] {
  const found: Point[] = [
    [0, 0],
    [0, 0],
    [0, 0],
    [0, 0],
  ];
  const most = [-Infinity, -Infinity, -Infinity, -Infinity];
  for (let pixel = 0; pixel < piece.length; pixel += 1) {
    if (!piece[pixel]) continue;
    const x = pixel % width;
    const y = (pixel - x) / width;
    [-x - y, x - y, x + y, y - x].forEach((reach, corner) => {
      if (reach <= most[corner]!) return;
      most[corner] = reach;
      found[corner] = [x, y];
    });
  }
  return found as [Point, Point, Point, Point];
}

/** Fits each side anew to where the color changes most across it, and meets neighboring sides. */
function refine(photo: PhotoPixels, corners: Corners, reachPx: number): Corners {
  const sides = corners.map((from, index) => sideThrough(photo, from, corners[(index + 1) % 4]!, reachPx));
  return corners.map((corner, index) => {
    const before = sides[(index + 3) % 4];
    const after = sides[index];
    return (before && after && meet(before, after, corner, reachPx)) ?? corner;
  }) as unknown as Corners;
}

/** A side as a point and a direction. */
interface Side {
  readonly at: Point;
  readonly along: Point;
}

function sideThrough(photo: PhotoPixels, from: Point, to: Point, reachPx: number): Side | undefined {
  const length = Math.hypot(to[0] - from[0], to[1] - from[1]);
  const along: Point = [(to[0] - from[0]) / length, (to[1] - from[1]) / length];
  const across: Point = [-along[1], along[0]];
  const points: { t: number; off: number }[] = [];
  for (let look = 0; look < LOOKS; look += 1) {
    const t = (0.06 + (0.88 * (look + 0.5)) / LOOKS) * length;
    const off = sharpestStep(photo, [from[0] + t * along[0], from[1] + t * along[1]], across, reachPx);
    if (off !== undefined) points.push({ t, off });
  }
  if (points.length < LOOKS / 4) return undefined;
  let kept = points;
  let line = { slope: 0, start: 0 };
  for (let round = 0; round < 4; round += 1) {
    const { coefficients } = leastSquares(
      kept.map(({ t }) => [1, t]),
      kept.map(({ off }) => off),
    );
    line = { start: coefficients[0]!, slope: coefficients[1]! };
    const off = (point: { t: number; off: number }) =>
      Math.abs(point.off - line.start - line.slope * point.t);
    const sorted = points.map(off).sort((a, b) => a - b);
    const usual = Math.max(0.7, 2.2 * sorted[sorted.length >> 1]!);
    kept = points.filter((point) => off(point) <= usual);
  }
  const at: Point = [from[0] + line.start * across[0], from[1] + line.start * across[1]];
  const turned: Point = [along[0] + line.slope * across[0], along[1] + line.slope * across[1]];
  return { at, along: turned };
}

/** How far across the side the color changes most, between whole pixels; undefined without a clear step. */
function sharpestStep(photo: PhotoPixels, at: Point, across: Point, reachPx: number): number | undefined {
  const reach = Math.ceil(reachPx);
  const line: number[][] = [];
  for (let step = -reach - 2; step <= reach + 2; step += 1) {
    const x = Math.floor(at[0] + step * across[0]);
    const y = Math.floor(at[1] + step * across[1]);
    if (x < 0 || y < 0 || x >= photo.widthPx || y >= photo.heightPx) return undefined;
    const from = (y * photo.widthPx + x) * photo.channels;
    line.push([photo.data[from]!, photo.data[from + 1]!, photo.data[from + 2]!]);
  }
  const change = (index: number) =>
    Math.hypot(
      ...[0, 1, 2].map(
        (c) => line[index + 1]![c]! + line[index + 2]![c]! - line[index - 1]![c]! - line[index - 2]![c]!,
      ),
    );
  let best = -1;
  for (let index = 2; index < line.length - 2; index += 1) {
    if (best < 0 || change(index) > change(best)) best = index;
  }
  if (best < 3 || best > line.length - 4 || change(best) < 24) return undefined;
  const [before, peak, after] = [change(best - 1), change(best), change(best + 1)];
  const between = (before - after) / (2 * (before - 2 * peak + after) || 1);
  return best - reach - 2 + Math.max(-0.5, Math.min(0.5, between));
}

function meet(a: Side, b: Side, near: Point, reachPx: number): Point | undefined {
  const cross = a.along[0] * b.along[1] - a.along[1] * b.along[0];
  if (Math.abs(cross) < 1e-3) return undefined;
  const t = ((b.at[0] - a.at[0]) * b.along[1] - (b.at[1] - a.at[1]) * b.along[0]) / cross;
  const point: Point = [a.at[0] + t * a.along[0], a.at[1] + t * a.along[1]];
  return Math.hypot(point[0] - near[0], point[1] - near[1]) < 4 * reachPx ? point : undefined;
}

/** Whether the piece fills the quadrilateral as a support does. */
function fillsItsFrame(piece: Uint8Array, corners: Corners, scale: number): boolean {
  let count = 0;
  for (const value of piece) count += value;
  let doubled = 0;
  corners.forEach(([x, y], index) => {
    const [nextX, nextY] = corners[(index + 1) % 4]!;
    doubled += x * nextY - nextX * y;
  });
  const area = Math.abs(doubled) / 2 / scale ** 2;
  return area > 0 && count / area > 0.85 && count / area < 1.12;
}

function inset({ widthPx, heightPx }: PhotoPixels): Corners {
  const [x, y] = [0.12 * widthPx, 0.12 * heightPx];
  return [
    [x, y],
    [widthPx - x, y],
    [widthPx - x, heightPx - y],
    [x, heightPx - y],
  ];
}
