import { MARGIN, type FilmGrid } from './grid.ts';
import type { Box } from './film.ts';

/** Below this, m, a cell counts as empty. */
const NOTHING = 1e-12;

/** Finds the rows and columns between which a layer has paint. */
export function findBox(grid: FilmGrid, thickness: Float64Array, box: Box): void {
  const { columns, rows, stride } = grid;
  const [first, last] = [MARGIN, MARGIN + columns - 1];
  let [left, right, top, bottom] = [last + 1, first - 1, 0, -1];
  for (let row = MARGIN; row < MARGIN + rows; row += 1) {
    const start = row * stride;
    let from = first;
    while (from <= last && thickness[start + from]! <= NOTHING) from += 1;
    if (from > last) continue;
    let to = last;
    while (thickness[start + to]! <= NOTHING) to -= 1;
    if (from < left) left = from;
    if (to > right) right = to;
    if (bottom < 0) top = row;
    bottom = row;
  }
  box.left = left;
  box.right = right;
  box.top = top;
  box.bottom = bottom;
}

/** Whether a layer has no paint at all. */
export const isEmpty = (box: Box): boolean => box.right < box.left || box.bottom < box.top;

/** The box with some cells around it, on the face. */
export function around(grid: FilmGrid, box: Box, cells: number): Box {
  return {
    left: Math.max(MARGIN, box.left - cells),
    right: Math.min(MARGIN + grid.columns - 1, box.right + cells),
    top: Math.max(MARGIN, box.top - cells),
    bottom: Math.min(MARGIN + grid.rows - 1, box.bottom + cells),
  };
}
