import { around, isEmpty } from './box.ts';
import type { FilmFields } from './film.ts';
import { repeatRim } from './grid.ts';

/** How far beyond its paint a layer is smoothed, cells: what smoothing spreads, and two more that the compiled kernels look at. */
export const REACH = 4;

/**
 * Smooths every layer with 1-4-6-4-1 across and down (twice 1-2-1). Weight differences taken from it do not feed on
 * the noise of single cells: unsmoothed, heavy paint on light grows cell by cell.
 */
export function smoothLayers(fields: FilmFields): void {
  const { grid, thickness, smooth, scratch, boxes } = fields;
  const { stride, rim } = grid;
  for (let layer = 0; layer < thickness.length; layer += 1) {
    if (isEmpty(boxes[layer]!)) continue;
    const [from, to] = [thickness[layer]!, smooth[layer]!];
    const { left, right, top, bottom } = around(grid, boxes[layer]!, REACH);
    for (let row = top - 2; row <= bottom + 2; row += 1) {
      for (let cell = row * stride + left; cell <= row * stride + right; cell += 1) {
        scratch[cell] =
          (from[cell - 2]! + from[cell + 2]! + 4 * (from[cell - 1]! + from[cell + 1]!) + 6 * from[cell]!) /
          16;
      }
    }
    for (let row = top; row <= bottom; row += 1) {
      for (let cell = row * stride + left; cell <= row * stride + right; cell += 1) {
        to[cell] =
          (scratch[cell - 2 * stride]! +
            scratch[cell + 2 * stride]! +
            4 * (scratch[cell - stride]! + scratch[cell + stride]!) +
            6 * scratch[cell]!) /
          16;
      }
    }
    repeatRim(rim, to);
  }
}
