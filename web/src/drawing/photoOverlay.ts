import {
  inverseOf,
  maskOfRuns,
  project,
  rectangleTo,
  moveCorners,
  type Corners,
  type Homography,
} from '@icy-ribbon/core/picture';
import type { PhotoDetail } from '@icy-ribbon/contract';

/** A cell as the overlay draws it. */
export interface DrawnCell {
  readonly xMm: number;
  readonly yMm: number;
  readonly diameterMm: number;
  readonly label: number;
  readonly around: number;
  readonly outlineMm: readonly number[];
}

export function cellsOf(detail: PhotoDetail): DrawnCell[] {
  return detail.cells.map(([xMm = 0, yMm = 0, diameterMm = 0, label = 0, around = 0, ...outlineMm]) => ({
    xMm,
    yMm,
    diameterMm,
    label,
    around,
    outlineMm,
  }));
}

/** Limits between the size steps: fifths of the cells. */
export function sizeLimits(cells: readonly DrawnCell[]): number[] {
  const sorted = cells.map((cell) => cell.diameterMm).sort((a, b) => a - b);
  return [0.2, 0.4, 0.6, 0.8].map((share) => sorted[Math.floor(share * sorted.length)] ?? 0);
}

export const sizeStep = (limits: readonly number[], diameterMm: number): number =>
  limits.filter((limit) => diameterMm > limit).length;

/** From millimeters on the face to pixels of the photo. */
export const faceMap = (corners: Corners, widthMm: number, heightMm: number): Homography =>
  rectangleTo(corners, widthMm, heightMm);

/** SVG path of the outlines of some cells, in pixels of the photo. */
export function outlinePath(cells: readonly DrawnCell[], map: Homography): string {
  return cells
    .map(({ xMm, yMm, outlineMm }) => {
      const points = outlineMm.map((radius, index) => {
        const angle = (2 * Math.PI * index) / outlineMm.length;
        const [x, y] = project(map, xMm + radius * Math.cos(angle), yMm + radius * Math.sin(angle));
        return `${x.toFixed(1)} ${y.toFixed(1)}`;
      });
      return `M${points.join('L')}Z`;
    })
    .join('');
}

/** The cell that holds a place of the face. */
export function cellAt(cells: readonly DrawnCell[], xMm: number, yMm: number): DrawnCell | undefined {
  let best: DrawnCell | undefined;
  let nearest = Infinity;
  for (const cell of cells) {
    const far = Math.hypot(cell.xMm - xMm, cell.yMm - yMm);
    if (far < Math.max(0.5, 0.55 * cell.diameterMm) && far < nearest) {
      nearest = far;
      best = cell;
    }
  }
  return best;
}

/** A mask as a picture in its own pixels, one color where it is on. */
export function maskPicture(
  runs: readonly number[],
  { widthPx, heightPx }: { widthPx: number; heightPx: number },
  [r, g, b, a]: readonly [number, number, number, number],
): HTMLCanvasElement {
  const mask = maskOfRuns(runs, widthPx * heightPx);
  const canvas = document.createElement('canvas');
  canvas.width = widthPx;
  canvas.height = heightPx;
  const context = canvas.getContext('2d')!;
  const image = context.createImageData(widthPx, heightPx);
  for (let pixel = 0; pixel < mask.length; pixel += 1) {
    if (mask[pixel]) image.data.set([r, g, b, a], 4 * pixel);
  }
  context.putImageData(image, 0, 0);
  return canvas;
}

/**
 * A CSS transform that lays a picture of the face, `width` by `height`, over the photo's quadrilateral.
 */
export function overlayTransform(corners: Corners, width: number, height: number, scale: number): string {
  const scaled = moveCorners(corners, ([x, y]) => [x * scale, y * scale]);
  const m = rectangleTo(scaled, width, height);
  const columns = [m[0], m[3], 0, m[6], m[1], m[4], 0, m[7], 0, 0, 1, 0, m[2], m[5], 0, 1];
  return `matrix3d(${columns.join(',')})`;
}

/** A CSS transform that brings the photo's quadrilateral onto a rectangle, as if seen straight from above. */
export function straightenTransform(corners: Corners, width: number, height: number): string {
  const m = inverseOf(rectangleTo(corners, width, height));
  const columns = [m[0], m[3], 0, m[6], m[1], m[4], 0, m[7], 0, 0, 1, 0, m[2], m[5], 0, 1];
  return `matrix3d(${columns.join(',')})`;
}

/** Table around the support that stays in sight, as a share of its width. */
const MARGIN = 0.05;

/** The part of a photo that is shown, in its pixels: the support and a little table, or all of it without corners. */
export function visiblePart(
  { widthPx, heightPx }: { readonly widthPx: number; readonly heightPx: number },
  corners: Corners | null,
): { readonly x: number; readonly y: number; readonly width: number; readonly height: number } {
  if (!corners) return { x: 0, y: 0, width: widthPx, height: heightPx };
  const xs = corners.map(([x]) => x);
  const ys = corners.map(([, y]) => y);
  const edge = MARGIN * (Math.max(...xs) - Math.min(...xs));
  const x = Math.max(0, Math.min(...xs) - edge);
  const y = Math.max(0, Math.min(...ys) - edge);
  return {
    x,
    y,
    width: Math.min(widthPx, Math.max(...xs) + edge) - x,
    height: Math.min(heightPx, Math.max(...ys) + edge) - y,
  };
}
