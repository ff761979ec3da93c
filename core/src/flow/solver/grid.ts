import { InputError } from '../../base/error/index.ts';

/** Cells of margin on each side, which repeat what lies at the rim. */
export const MARGIN = 2;

/**
 * A regular grid over the face of a support. Cells lie row by row from the top left; `index = (row + MARGIN) * stride + column
 * + MARGIN`. A face between two cells carries the index of the cell to its right or below it.
 */
export interface FilmGrid {
  readonly columns: number;
  readonly rows: number;
  /** Edge of a cell, m. */
  readonly cellM: number;
  readonly stride: number;
  /** Length of a field, margins included. */
  readonly length: number;
  readonly rim: FilmRim;
}

/** What stands around the paint: an open edge that drips, or a wall. */
export interface FilmRim {
  /** 1 where the support is, 0 elsewhere; a field's length. */
  readonly inside: Uint8Array;
  /** Cells off the support near its rim, and the cell on it that each repeats. */
  readonly ghosts: Int32Array;
  readonly sources: Int32Array;
  /** Cells off the support that no cell on it sees. */
  readonly outside: Int32Array;
  /** Faces across (0) and down (1) at or beyond the rim: 1 lets paint out to the right or downward, -1 to the left or upward, 0 nothing. */
  readonly faces: readonly [RimFaces, RimFaces];
}

export interface RimFaces {
  readonly index: Int32Array;
  readonly way: Int8Array;
}

export type FilmEdge = 'open' | 'wall';

/**
 * A grid over a face of `columns` x `rows` cells.
 *
 * @param given.isInside says of a cell whether the support is there (a round one leaves the corners out)
 * @throws InputError (field "cellMm") for a grid without cells
 * @example filmGrid({ columns: 64, rows: 64, cellM: 1e-3, edge: 'open' }).stride // 68
 */
export function filmGrid(given: {
  readonly columns: number;
  readonly rows: number;
  readonly cellM: number;
  readonly edge: FilmEdge;
  readonly isInside?: (column: number, row: number) => boolean;
}): FilmGrid {
  const { columns, rows, cellM } = given;
  if (!(columns >= 1 && rows >= 1 && cellM > 0)) {
    throw new InputError('cellMm', 'The face needs at least one cell: take smaller cells.');
  }
  const stride = columns + 2 * MARGIN;
  const length = stride * (rows + 2 * MARGIN);
  const inside = new Uint8Array(length);
  for (let row = 0; row < rows; row += 1) {
    for (let column = 0; column < columns; column += 1) {
      if (given.isInside?.(column, row) ?? true) inside[(row + MARGIN) * stride + column + MARGIN] = 1;
    }
  }
  return {
    columns,
    rows,
    cellM,
    stride,
    length,
    rim: { inside, ...ghostsOf(inside, stride), faces: [facesOf(1), facesOf(stride)] },
  };

  function facesOf(off: number): RimFaces {
    const index: number[] = [];
    const way: number[] = [];
    for (let face = off; face < length; face += 1) {
      const [before, after] = [inside[face - off]!, inside[face]!];
      if (before && after) continue;
      index.push(face);
      way.push(given.edge === 'wall' ? 0 : before - after);
    }
    return { index: Int32Array.from(index), way: Int8Array.from(way) };
  }
}

/** Each cell off the support within the margin of a cell on it repeats the nearest one. */
function ghostsOf(inside: Uint8Array, stride: number): Pick<FilmRim, 'ghosts' | 'sources' | 'outside'> {
  const ghosts: number[] = [];
  const sources: number[] = [];
  const outside: number[] = [];
  const rows = inside.length / stride;
  for (let cell = 0; cell < inside.length; cell += 1) {
    if (inside[cell]) continue;
    const source = nearest(cell % stride, Math.floor(cell / stride));
    if (source < 0) outside.push(cell);
    else {
      ghosts.push(cell);
      sources.push(source);
    }
  }
  return {
    ghosts: Int32Array.from(ghosts),
    sources: Int32Array.from(sources),
    outside: Int32Array.from(outside),
  };

  function nearest(column: number, row: number): number {
    let [best, found] = [Infinity, -1];
    for (let down = -MARGIN; down <= MARGIN; down += 1) {
      for (let across = -MARGIN; across <= MARGIN; across += 1) {
        const [x, y] = [column + across, row + down];
        if (x < 0 || y < 0 || x >= stride || y >= rows) continue;
        const distance = across ** 2 + down ** 2;
        if (inside[y * stride + x] && distance < best) [best, found] = [distance, y * stride + x];
      }
    }
    return found;
  }
}

/**
 * Index of a cell by column and row of the face.
 *
 * @example cellIndex(filmGrid({ columns: 4, rows: 4, cellM: 1e-3, edge: 'open' }), 0, 0) // 18
 */
export const cellIndex = (grid: FilmGrid, column: number, row: number): number =>
  (row + MARGIN) * grid.stride + column + MARGIN;

/** Makes the cells around the support repeat its rim. */
export function repeatRim(rim: FilmRim, field: Float64Array): void {
  const { ghosts, sources, outside } = rim;
  for (let k = 0; k < ghosts.length; k += 1) field[ghosts[k]!] = field[sources[k]!]!;
  for (let k = 0; k < outside.length; k += 1) field[outside[k]!] = 0;
}
