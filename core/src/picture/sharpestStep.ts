import type { PhotoPixels, Point } from './photo.ts';

/**
 * How far from a point, along a direction, the color changes most, between whole pixels; undefined without a clear
 * step within reach.
 */
export function sharpestStep(
  photo: PhotoPixels,
  at: Point,
  across: Point,
  reachPx: number,
): number | undefined {
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
