export { fitFilm, LEAST_POURS, type FilmFit, type FitError, type FitPour } from './fit.ts';
export type { CellMeasures, FitMeasures } from './measures.ts';
export {
  cellMeasuresOf,
  FILMS_OF_POUR,
  FIT_CODE,
  measuredPour,
  measuresOf,
  runPour,
  type FitRun,
  type MeasuredPour,
} from './pour.ts';
export { RUNS_OF_POUR } from './emulator.ts';
export {
  CELL_NAMES,
  FIT_DESIGN,
  FIT_NAMES,
  PRIOR_SD_LN,
  valuesAt,
  withValues,
  type FitName,
  type FitValues,
} from './unknowns.ts';
