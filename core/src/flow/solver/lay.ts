import { forEachCell } from './measure.ts';
import { repeatRim, type FilmGrid } from './grid.ts';

/** Points a cell is looked at, across and down, to soften an edge. */
const LOOKS = 4;

/**
 * Lays paint of one thickness over every cell.
 *
 * @param thicknessMm above 0
 */
export function layFilm(grid: FilmGrid, thickness: Float64Array, thicknessMm: number): void {
  forEachCell(grid, (cell) => (thickness[cell]! += thicknessMm / 1000));
  repeatRim(grid.rim, thickness);
}

/**
 * Lays a volume over a shape of the face. What lies beyond the support is not laid.
 *
 * @param shape says of a point, mm from the top left corner, how thick it is to lie there against others: 0 beyond, 1 within for an even film
 * @param box mm within which the shape lies, also beyond the support
 * @returns the volume that missed the support, m3
 */
export function layShape(
  grid: FilmGrid,
  thickness: Float64Array,
  volumeM3: number,
  shape: (xMm: number, yMm: number) => number,
  box: { readonly left: number; readonly right: number; readonly top: number; readonly bottom: number },
): number {
  const stepMm = grid.cellM * 1000;
  const clamp = (index: number) => Math.floor(index / stepMm);
  const shares: [cell: number, share: number][] = [];
  let [all, on] = [0, 0];
  for (let row = clamp(box.top); row <= clamp(box.bottom); row += 1) {
    for (let column = clamp(box.left); column <= clamp(box.right); column += 1) {
      let hits = 0;
      for (let look = 0; look < LOOKS ** 2; look += 1) {
        const x = (column + ((look % LOOKS) + 0.5) / LOOKS) * stepMm;
        const y = (row + (Math.floor(look / LOOKS) + 0.5) / LOOKS) * stepMm;
        hits += shape(x, y);
      }
      if (hits <= 0) continue;
      all += hits;
      if (column < 0 || row < 0 || column >= grid.columns || row >= grid.rows) continue;
      const cell = (row + 2) * grid.stride + column + 2;
      if (!grid.rim.inside[cell]) continue;
      on += hits;
      shares.push([cell, hits]);
    }
  }
  if (all === 0) return volumeM3;
  const perHit = volumeM3 / all / grid.cellM ** 2;
  for (const [cell, hits] of shares) thickness[cell]! += hits * perHit;
  repeatRim(grid.rim, thickness);
  return (volumeM3 * (all - on)) / all;
}

/** A round on the face. */
export interface LaidRound {
  readonly xMm: number;
  readonly yMm: number;
  readonly radiusMm: number;
  readonly volumeMl: number;
}

/** Lays a volume as a flat disc; one smaller than a cell fills the cell it lies in. Returns what missed the support, m3. */
export const layDisc = (grid: FilmGrid, thickness: Float64Array, disc: LaidRound): number =>
  layRound(grid, thickness, disc, () => 1);

/** Lays a volume as a puddle that has spread by itself (Huppert 1982a: (1 - s^2)^(1/3)). Returns what missed the support, m3. */
export const layDome = (grid: FilmGrid, thickness: Float64Array, dome: LaidRound): number =>
  layRound(grid, thickness, dome, (squared) => Math.cbrt(1 - squared));

/** @param profile thickness by the square of the distance from the middle, 1 at the rim */
function layRound(
  grid: FilmGrid,
  thickness: Float64Array,
  { xMm, yMm, radiusMm, volumeMl }: LaidRound,
  profile: (squared: number) => number,
): number {
  const radius = Math.max(radiusMm, grid.cellM * 500);
  return layShape(
    grid,
    thickness,
    volumeMl * 1e-6,
    (x, y) => {
      const squared = ((x - xMm) ** 2 + (y - yMm) ** 2) / radius ** 2;
      return squared <= 1 ? profile(squared) : 0;
    },
    { left: xMm - radius, right: xMm + radius, top: yMm - radius, bottom: yMm + radius },
  );
}
