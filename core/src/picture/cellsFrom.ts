import { quantile } from './quantile.ts';

/** Cells from one size on. */
export interface CellsFrom {
  readonly mm: number;
  readonly count: number;
  readonly medianMm: number;
  readonly perCm2: number;
}

/** Sizes from which photos are compared, mm: each half as large again as the one before. */
export const CUT_OFFS_MM = [0.5, 0.8, 1.2, 1.8, 2.7] as const;

/**
 * Cells from each size on that a photo can show: what it misses of the small ones raises the median of the rest, so two
 * photos are compared from a size that both can show.
 *
 * @param diameters in mm, ascending; @param leastMm the smallest that the photo can show
 */
export function cellsFrom(
  diameters: readonly number[],
  leastMm: number,
  perCm2: (count: number) => number,
): CellsFrom[] {
  return CUT_OFFS_MM.filter((mm) => mm >= leastMm - 1e-9).map((mm) => {
    const rest = diameters.filter((diameter) => diameter >= mm);
    return { mm, count: rest.length, medianMm: quantile(rest, 0.5), perCm2: perCm2(rest.length) };
  });
}
