import { outlineOf, type SketchMark, type SketchPoint } from './mark.ts';

/** The face as a grid: how large, which of its pixels are on it, and the colors seen there. */
export interface SketchGrid {
  readonly width: number;
  readonly height: number;
  readonly pxPerMm: number;
  readonly shape: 'rectangle' | 'round';
  /** Number of the color seen at each pixel, and the names by number; left out where no photo was measured. */
  readonly labels?: Uint8Array | undefined;
  readonly names?: readonly string[] | undefined;
}

/** 1 where a mark lays paint. */
export function markMask(mark: SketchMark, grid: SketchGrid): Uint8Array {
  const { width, height, pxPerMm, labels, names } = grid;
  const mask = new Uint8Array(width * height);
  const px = (points: readonly SketchPoint[]) => points.map(([x, y]) => [x * pxPerMm, y * pxPerMm] as const);
  if (mark.kind === 'stroke') strokeInto(mask, width, height, px(mark.points), (mark.widthMm * pxPerMm) / 2);
  else {
    const outline = outlineOf(mark, { widthMm: width / pxPerMm, heightMm: height / pxPerMm });
    fillInto(mask, width, height, px(outline));
    if (mark.kind === 'cut-out') for (let at = 0; at < mask.length; at += 1) mask[at] = 1 - mask[at]!;
  }
  const only = mark.onlyOn === null ? -1 : (names?.indexOf(mark.onlyOn) ?? -1);
  for (let y = 0; y < height; y += 1) {
    for (let x = 0; x < width; x += 1) {
      const at = y * width + x;
      if (grid.shape === 'round' && !isInRound(x, y, width, height)) mask[at] = 0;
      if (mark.onlyOn !== null && labels && labels[at] !== only) mask[at] = 0;
    }
  }
  return mask;
}

/**
 * How much of the face a mark covers, mm².
 *
 * Law: pixels whose middle is covered, each of its own area.
 */
export function markAreaMm2(mark: SketchMark, grid: SketchGrid): number {
  let count = 0;
  for (const on of markMask(mark, grid)) count += on;
  return count / grid.pxPerMm ** 2;
}

function isInRound(x: number, y: number, width: number, height: number): boolean {
  const across = (2 * (x + 0.5)) / width - 1;
  const down = (2 * (y + 0.5)) / height - 1;
  return across * across + down * down <= 1;
}

type PxPoint = readonly [number, number];

/** Fills a closed outline row by row, even-odd. */
function fillInto(mask: Uint8Array, width: number, height: number, outline: readonly PxPoint[]): void {
  for (let y = 0; y < height; y += 1) {
    const middle = y + 0.5;
    const crossings: number[] = [];
    outline.forEach(([x1, y1], index) => {
      const [x2, y2] = outline[(index + 1) % outline.length]!;
      if (y1 <= middle !== y2 <= middle) crossings.push(x1 + ((middle - y1) / (y2 - y1)) * (x2 - x1));
    });
    crossings.sort((a, b) => a - b);
    for (let pair = 0; pair + 1 < crossings.length; pair += 2) {
      const from = Math.max(0, Math.ceil(crossings[pair]! - 0.5));
      const to = Math.min(width, Math.ceil(crossings[pair + 1]! - 0.5));
      if (to > from) mask.fill(1, y * width + from, y * width + to);
    }
  }
}

function strokeInto(
  mask: Uint8Array,
  width: number,
  height: number,
  points: readonly PxPoint[],
  radius: number,
): void {
  const pairs =
    points.length === 1
      ? [[points[0]!, points[0]!] as const]
      : points.slice(1).map((to, i) => [points[i]!, to] as const);
  for (const [from, to] of pairs) {
    const [dx, dy] = [to[0] - from[0], to[1] - from[1]];
    const square = dx * dx + dy * dy;
    const top = Math.max(0, Math.floor(Math.min(from[1], to[1]) - radius));
    const bottom = Math.min(height - 1, Math.ceil(Math.max(from[1], to[1]) + radius));
    const left = Math.max(0, Math.floor(Math.min(from[0], to[0]) - radius));
    const right = Math.min(width - 1, Math.ceil(Math.max(from[0], to[0]) + radius));
    for (let y = top; y <= bottom; y += 1) {
      for (let x = left; x <= right; x += 1) {
        const [px, py] = [x + 0.5 - from[0], y + 0.5 - from[1]];
        const share = square === 0 ? 0 : Math.min(1, Math.max(0, (px * dx + py * dy) / square));
        const [ox, oy] = [px - share * dx, py - share * dy];
        if (ox * ox + oy * oy <= radius * radius) mask[y * width + x] = 1;
      }
    }
  }
}
