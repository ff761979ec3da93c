import { cellIndex, type FilmGrid } from './grid.ts';

/** What a layer amounts to. */
export interface LayerMeasures {
  readonly volumeMl: number;
  readonly meanMm: number;
  readonly maxMm: number;
  /** Area thicker than 0.05 mm. */
  readonly coveredMm2: number;
  /** Root of the mean squared distance of its volume from its center; 0 without paint. */
  readonly rmsRadiusMm: number;
}

const COVERED = 5e-5;

/** Calls with every cell of the support. */
export function forEachCell(
  grid: FilmGrid,
  visit: (cell: number, column: number, row: number) => void,
): void {
  for (let row = 0; row < grid.rows; row += 1) {
    for (let column = 0; column < grid.columns; column += 1) {
      const cell = cellIndex(grid, column, row);
      if (grid.rim.inside[cell]) visit(cell, column, row);
    }
  }
}

/** Volume of a layer, m3. */
export function volumeM3(grid: FilmGrid, thickness: Float64Array): number {
  let sum = 0;
  forEachCell(grid, (cell) => (sum += thickness[cell]!));
  return sum * grid.cellM ** 2;
}

/** Measures of a layer. */
export function measureLayer(grid: FilmGrid, thickness: Float64Array): LayerMeasures {
  let [sum, most, covered, cells, sumX, sumY, squares] = [0, 0, 0, 0, 0, 0, 0];
  forEachCell(grid, (cell, column, row) => {
    const h = thickness[cell]!;
    cells += 1;
    sum += h;
    most = Math.max(most, h);
    if (h > COVERED) covered += 1;
    sumX += h * column;
    sumY += h * row;
  });
  const [centerX, centerY] = [sumX / sum, sumY / sum];
  forEachCell(grid, (cell, column, row) => {
    squares += thickness[cell]! * ((column - centerX) ** 2 + (row - centerY) ** 2);
  });
  const area = grid.cellM ** 2;
  return {
    volumeMl: sum * area * 1e6,
    meanMm: (sum / cells) * 1000,
    maxMm: most * 1000,
    coveredMm2: covered * area * 1e6,
    rmsRadiusMm: sum > 0 ? Math.sqrt(squares / sum) * grid.cellM * 1000 : 0,
  };
}

/** Paint shows its edge where it is this thick, m (an assumption of the picture). */
export const SEEN_M = 4e-5;

/**
 * How much of each cell shows each layer from above, as a picture with crisp edges shows it: thin films over others do not tint. What is left to
 * 1 is bare support.
 *
 * @returns a field for each layer
 */
export function seenByLayer(grid: FilmGrid, thickness: readonly Float64Array[]): Float32Array[] {
  const { stride, cellM, length } = grid;
  const seen = thickness.map(() => new Float32Array(length));
  forEachCell(grid, (cell) => {
    let left = 1;
    for (let layer = thickness.length - 1; layer >= 0 && left > 0; layer -= 1) {
      const h = thickness[layer]!;
      const across = (h[cell + 1]! - h[cell - 1]!) / (2 * cellM);
      const down = (h[cell + stride]! - h[cell - stride]!) / (2 * cellM);
      const steep = Math.hypot(across, down) * cellM + 1e-9;
      const cover = Math.min(1, Math.max(0, 0.5 + (h[cell]! - SEEN_M) / steep));
      seen[layer]![cell] = left * cover;
      left *= 1 - cover;
    }
  });
  return seen;
}

/** Share of the face on which each layer is seen; what is left to 1 is bare support. */
export function seenShares(grid: FilmGrid, thickness: readonly Float64Array[]): number[] {
  const seen = seenByLayer(grid, thickness);
  const sums = seen.map(() => 0);
  let cells = 0;
  forEachCell(grid, (cell) => {
    cells += 1;
    seen.forEach((field, layer) => (sums[layer]! += field[cell]!));
  });
  return sums.map((sum) => sum / cells);
}
