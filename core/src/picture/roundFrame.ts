import { leastSquares } from '../base/statistics/index.ts';
import type { Corners, PhotoPixels, Point } from './photo.ts';
import type { PieceOnTable } from './pieceOnTable.ts';
import { sharpestStep } from './sharpestStep.ts';

const DIRECTIONS = 120;
const ROUNDS = 4;
const LEAST_POINTS = 30;
/** Points within this share of the radius lie on the rim. */
const ON_RIM = 0.012;
const SURE_SHARE = 0.7;

/** An ellipse as its middle and the symmetric matrix that takes the unit circle to it. */
interface Rim {
  readonly middle: Point;
  /** Across, slanted, down: [[a, b], [b, c]]. */
  readonly matrix: readonly [a: number, b: number, c: number];
}

/**
 * The frame round a round support: an ellipse through its rim, each point of the rim taken where the color changes
 * most, and the frame that has been turned least. A circle seen askew is an ellipse whose middle is a little off the
 * circle's; over a table the difference is below a percent of its width.
 */
export function roundFrame(
  photo: PhotoPixels,
  piece: PieceOnTable,
): { corners: Corners; isSure: boolean } | undefined {
  const { scale } = piece;
  const rough = fitRim(outline(piece).map(([x, y]): Point => [(x + 0.5) * scale, (y + 0.5) * scale]));
  if (!rough) return undefined;
  const sharp = onRim(rough.rim, 1).flatMap(([x, y]) => {
    const out: Point = [x - rough.rim.middle[0], y - rough.rim.middle[1]];
    const length = Math.hypot(...out);
    const across: Point = [out[0] / length, out[1] / length];
    const off = sharpestStep(photo, [x, y], across, 4 * scale);
    return off === undefined ? [] : [[x + off * across[0], y + off * across[1]] as Point];
  });
  const fine = sharp.length >= LEAST_POINTS ? fitRim(sharp) : undefined;
  const { rim, share } = fine ?? rough;
  return { corners: frameOf(rim), isSure: fine !== undefined && share >= SURE_SHARE };
}

/** The farthest pixel of the piece in each direction from its middle. */
function outline({ mask, width, height }: PieceOnTable): Point[] {
  let count = 0;
  let sumX = 0;
  let sumY = 0;
  for (let pixel = 0; pixel < mask.length; pixel += 1) {
    if (!mask[pixel]) continue;
    count += 1;
    sumX += pixel % width;
    sumY += Math.floor(pixel / width);
  }
  const [x, y] = [sumX / count, sumY / count];
  return Array.from({ length: DIRECTIONS }, (_, direction): Point => {
    const angle = (2 * Math.PI * direction) / DIRECTIONS;
    const [dx, dy] = [Math.cos(angle), Math.sin(angle)];
    let farthest: Point = [x, y];
    for (let radius = 0; ; radius += 0.5) {
      const [column, row] = [Math.round(x + radius * dx), Math.round(y + radius * dy)];
      if (column < 0 || row < 0 || column >= width || row >= height) return farthest;
      if (mask[row * width + column]) farthest = [column, row];
    }
  });
}

/**
 * Least squares of a conic through the points, again without those that lie off it.
 *
 * @returns the ellipse and the share of the points on it; undefined when it is none
 */
function fitRim(points: readonly Point[]): { rim: Rim; share: number } | undefined {
  let kept = points;
  let rim: Rim | undefined;
  for (let round = 0; round < ROUNDS; round += 1) {
    rim = conicThrough(kept);
    if (!rim) return undefined;
    const found = rim;
    const offs = points.map((point) => Math.abs(radiusIn(found, point) - 1));
    const usual = Math.max(ON_RIM, 2.5 * [...offs].sort((a, b) => a - b)[offs.length >> 1]!);
    kept = points.filter((_, index) => offs[index]! <= usual);
    if (kept.length < LEAST_POINTS) return undefined;
  }
  const found = rim!;
  const on = points.filter((point) => Math.abs(radiusIn(found, point) - 1) <= ON_RIM).length;
  return { rim: found, share: on / points.length };
}

/** The ellipse A x² + B xy + C y² + D x + E y = 1 about the points' middle, in units of their spread. */
function conicThrough(points: readonly Point[]): Rim | undefined {
  const mean = (channel: 0 | 1) => points.reduce((sum, point) => sum + point[channel], 0) / points.length;
  const [x0, y0] = [mean(0), mean(1)];
  const unit = Math.sqrt(
    points.reduce((sum, [x, y]) => sum + (x - x0) ** 2 + (y - y0) ** 2, 0) / points.length,
  );
  const local = points.map(([x, y]) => [(x - x0) / unit, (y - y0) / unit] as const);
  const { coefficients } = leastSquares(
    local.map(([x, y]) => [x * x, x * y, y * y, x, y]),
    local.map(() => 1),
  );
  const [a, b, c, d, e] = coefficients as [number, number, number, number, number];
  const determinant = 4 * a * c - b * b;
  if (!(determinant > 0) || !(a > 0)) return undefined;
  const x = (b * e - 2 * c * d) / determinant;
  const y = (b * d - 2 * a * e) / determinant;
  // About its middle the conic is A u² + B uv + C v² = k.
  const k = 1 + a * x * x + b * x * y + c * y * y;
  return { middle: [x0 + unit * x, y0 + unit * y], matrix: inverseRoot(a / k, b / 2 / k, c / k, unit) };
}

/** The inverse square root of a symmetric matrix, times a unit: the circle's map onto the ellipse, unturned. */
function inverseRoot(a: number, b: number, c: number, unit: number): [number, number, number] {
  const half = (a + c) / 2;
  const apart = Math.hypot((a - c) / 2, b);
  const angle = 0.5 * Math.atan2(2 * b, a - c);
  const [long, short] = [unit / Math.sqrt(half - apart), unit / Math.sqrt(half + apart)];
  const [cos, sin] = [Math.cos(angle), Math.sin(angle)];
  // The larger eigenvalue belongs to the shorter axis.
  return [
    short * cos * cos + long * sin * sin,
    (short - long) * cos * sin,
    short * sin * sin + long * cos * cos,
  ];
}

/** How far out a point lies: 1 on the rim. */
function radiusIn({ middle, matrix: [a, b, c] }: Rim, [x, y]: Point): number {
  const [dx, dy] = [x - middle[0], y - middle[1]];
  const determinant = a * c - b * b;
  return Math.hypot((c * dx - b * dy) / determinant, (a * dy - b * dx) / determinant);
}

function onRim({ middle, matrix: [a, b, c] }: Rim, radius: number): Point[] {
  return Array.from({ length: DIRECTIONS }, (_, direction): Point => {
    const angle = (2 * Math.PI * direction) / DIRECTIONS;
    const [u, v] = [radius * Math.cos(angle), radius * Math.sin(angle)];
    return [middle[0] + a * u + b * v, middle[1] + b * u + c * v];
  });
}

function frameOf({ middle, matrix: [a, b, c] }: Rim): Corners {
  const corner = (u: number, v: number): Point => [middle[0] + a * u + b * v, middle[1] + b * u + c * v];
  return [corner(-1, -1), corner(1, -1), corner(1, 1), corner(-1, 1)];
}
