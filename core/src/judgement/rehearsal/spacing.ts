/** Between the places where a sheet opens lies this many times a usual cell: measured on the film's own pictures. */
const SPACING_PER_CELL = 2.3;

/**
 * Spacing of a film's seeds, m, that makes cells of a forecast size.
 *
 * @param cellMm usual diameter; what is far out is brought in
 * @example spacingForCells(2) // 0.0046
 */
export const spacingForCells = (cellMm: number): number =>
  (SPACING_PER_CELL * Math.min(8, Math.max(0.6, cellMm))) / 1000;
