import { InputError } from '../base/error/index.ts';
import type { Corners, Point } from './photo.ts';

/** A projective map of the plane: nine coefficients row by row, the last one 1. */
export type Homography = Float64Array;

/**
 * The projective map that takes a rectangle's corners (0,0), (width,0), (width,height), (0,height) to four points.
 *
 * Law: the map of the unit square in closed form (P. Heckbert, "Fundamentals of Texture Mapping and Image Warping", 1989, from memory), its
 * sides stretched to the rectangle's.
 *
 * @throws InputError when the points do not span a convex quadrilateral
 */
export function rectangleTo(corners: Corners, width: number, height: number): Homography {
  requireConvex(corners);
  const [[x0, y0], [x1, y1], [x2, y2], [x3, y3]] = corners;
  const [dx1, dx2, dx3] = [x1 - x2, x3 - x2, x0 - x1 + x2 - x3];
  const [dy1, dy2, dy3] = [y1 - y2, y3 - y2, y0 - y1 + y2 - y3];
  const area = dx1 * dy2 - dx2 * dy1;
  const g = (dx3 * dy2 - dx2 * dy3) / area;
  const h = (dx1 * dy3 - dx3 * dy1) / area;
  return Float64Array.of(
    ...[(x1 - x0 + g * x1) / width, (x3 - x0 + h * x3) / height, x0],
    ...[(y1 - y0 + g * y1) / width, (y3 - y0 + h * y3) / height, y0],
    ...[g / width, h / height, 1],
  );
}

/** Where a point goes. */
export function project(map: Homography, x: number, y: number): Point {
  const depth = map[6]! * x + map[7]! * y + map[8]!;
  return [(map[0]! * x + map[1]! * y + map[2]!) / depth, (map[3]! * x + map[4]! * y + map[5]!) / depth];
}

/** The map that undoes a map. */
export function inverseOf(map: Homography): Homography {
  const [a, b, c, d, e, f, g, h, i] = map as unknown as [
    number,
    number,
    number,
    number,
    number,
    number,
    number,
    number,
    number,
  ];
  const adjugate = [
    e * i - f * h,
    c * h - b * i,
    b * f - c * e,
    f * g - d * i,
    a * i - c * g,
    c * d - a * f,
    d * h - e * g,
    b * g - a * h,
    a * e - b * d,
  ];
  return Float64Array.from(adjugate, (value) => value / adjugate[8]!);
}

/** The area of the quadrilateral, in square pixels. */
export function quadArea(corners: Corners): number {
  let doubled = 0;
  for (let index = 0; index < 4; index += 1) {
    const [x, y] = corners[index]!;
    const [nextX, nextY] = corners[(index + 1) % 4]!;
    doubled += x * nextY - nextX * y;
  }
  return Math.abs(doubled) / 2;
}

function requireConvex(corners: Corners): void {
  const turns = corners.map(([x, y], index) => {
    const [x1, y1] = corners[(index + 1) % 4]!;
    const [x2, y2] = corners[(index + 2) % 4]!;
    return (x1 - x) * (y2 - y1) - (y1 - y) * (x2 - x1);
  });
  const convex = turns.every((turn) => turn > 1);
  if (!convex) {
    throw new InputError(
      'corners',
      'The corners do not go round the support: top left, top right, bottom right, bottom left.',
    );
  }
}
