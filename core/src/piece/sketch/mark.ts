import type { z } from 'zod';
import type { ReadonlyDeep } from '../../base/field/index.ts';
import type { sketchSchema } from './schema.ts';

/** A place on the face, mm from its top left. */
export type SketchPoint = SketchMark['points'][number];

/** A try of a change, over the photo of the dry piece. */
export type Sketch = ReadonlyDeep<z.output<typeof sketchSchema>>;
/** Paint as it shall lie on a dry piece. */
export type SketchMark = Sketch['marks'][number];

/** Width of a petal to its length. */
const PETAL_WIDTH = 0.42;
const PETAL_POINTS = 24;

/** The outline that a mark fills, mm; a stroke has none. */
export function outlineOf(
  { kind, points }: Pick<SketchMark, 'kind' | 'points'>,
  face: { readonly widthMm: number; readonly heightMm: number },
): readonly SketchPoint[] {
  switch (kind) {
    case 'stroke':
      return [];
    case 'petal':
      return petal(points);
    case 'to-edge':
      return alongEdge(points, face);
    default:
      return points;
  }
}

function petal(points: readonly SketchPoint[]): SketchPoint[] {
  const [root, tip] = [points[0], points.at(-1)];
  if (!root || !tip) return [];
  const [dx, dy] = [tip[0] - root[0], tip[1] - root[1]];
  const at = (along: number, across: number): SketchPoint => [
    root[0] + along * dx - across * dy,
    root[1] + along * dy + across * dx,
  ];
  // Widest past the middle, pointed at its root: half a sine drawn toward the tip.
  const half = (along: number) => (PETAL_WIDTH / 2) * Math.sin(Math.PI * along ** 1.4);
  const steps = Array.from({ length: PETAL_POINTS + 1 }, (_, step) => step / PETAL_POINTS);
  return [...steps.map((t) => at(t, half(t))), ...steps.toReversed().map((t) => at(t, -half(t)))];
}

/** A line closed along the rim, the shorter way round. */
function alongEdge(
  points: readonly SketchPoint[],
  { widthMm, heightMm }: { readonly widthMm: number; readonly heightMm: number },
): SketchPoint[] {
  const [first, last] = [points[0], points.at(-1)];
  if (!first || !last) return [];
  const rim = 2 * (widthMm + heightMm);
  const from = onRim(last, widthMm, heightMm);
  const to = onRim(first, widthMm, heightMm);
  const ahead = (to - from + rim) % rim;
  const corners = [0, widthMm, widthMm + heightMm, 2 * widthMm + heightMm];
  const forward = ahead <= rim / 2;
  const between = corners
    .map((corner) => ({ corner, way: forward ? (corner - from + rim) % rim : (from - corner + rim) % rim }))
    .filter(({ way }) => way > 0 && way < (forward ? ahead : rim - ahead))
    .sort((a, b) => a.way - b.way)
    .map(({ corner }) => corner);
  return [...points, ...[from, ...between, to].map((place) => fromRim(place, widthMm, heightMm))];
}

/** The nearest place of the rim, as its way clockwise from the top left. */
function onRim([x, y]: SketchPoint, width: number, height: number): number {
  const [cx, cy] = [Math.min(width, Math.max(0, x)), Math.min(height, Math.max(0, y))];
  const sides = [
    { far: cy, place: cx },
    { far: width - cx, place: width + cy },
    { far: height - cy, place: 2 * width + height - cx },
    { far: cx, place: 2 * (width + height) - cy },
  ];
  return sides.reduce((best, side) => (side.far < best.far ? side : best)).place;
}

function fromRim(place: number, width: number, height: number): SketchPoint {
  if (place <= width) return [place, 0];
  if (place <= width + height) return [width, place - width];
  if (place <= 2 * width + height) return [2 * width + height - place, height];
  return [0, 2 * (width + height) - place];
}
