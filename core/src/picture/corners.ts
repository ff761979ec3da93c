import { leastSquares } from '../base/statistics/index.ts';
import { moveCorners, type Corners, type PhotoPixels, type Point } from './photo.ts';
import { pieceOnTable } from './pieceOnTable.ts';
import { roundFrame } from './roundFrame.ts';
import { sharpestStep } from './sharpestStep.ts';

export interface FoundCorners {
  readonly corners: Corners;
  /** False when the support could not be told from the table, and the corners are a mere beginning. */
  readonly isSure: boolean;
}

const LOOKS = 60;

/**
 * Finds the support's four corners: what differs from the table at the photo's rim, its largest piece, a
 * quadrilateral round it, and then each side again at full resolution where the color changes most. Of a round
 * support the corners of its frame are found.
 */
export function findCorners(photo: PhotoPixels, shape: 'rectangle' | 'round' = 'rectangle'): FoundCorners {
  const piece = pieceOnTable(photo);
  const nothing = { corners: inset(photo), isSure: false };
  if (!piece) return nothing;
  if (shape === 'round') return roundFrame(photo, piece) ?? nothing;
  const { mask, width, scale } = piece;
  const rough = moveCorners(extremes(mask, width), ([x, y]) => [(x + 0.5) * scale, (y + 0.5) * scale]);
  const corners = refine(photo, rough, 5 * scale);
  return { corners, isSure: fillsItsFrame(mask, corners, scale) };
}

/** The pixels that lie farthest toward the four corners of the photo. */
function extremes(piece: Uint8Array, width: number): Corners {
  const found: [Point, Point, Point, Point] = [
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
  return found;
}

/** Fits each side anew to where the color changes most across it, and meets neighboring sides. */
function refine(photo: PhotoPixels, corners: Corners, reachPx: number): Corners {
  const sides = corners.map((from, index) => sideThrough(photo, from, corners[(index + 1) % 4]!, reachPx));
  return moveCorners(corners, (corner, index) => {
    const before = sides[(index + 3) % 4];
    const after = sides[index];
    return (before && after && meet(before, after, corner, reachPx)) ?? corner;
  });
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
