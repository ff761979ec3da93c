export { fitFilm, LEAST_POURS, type FilmFit, type FitError, type FitMeasures, type FitPour } from './fit.ts';
export { measuredPour, measuresOf, runPour, withValues, type MeasuredPour } from './pour.ts';
export { RUNS_OF_POUR } from './emulator.ts';
export { FIT_DESIGN, FIT_NAMES, PRIOR_SD_LN, valuesAt, type FitName, type FitValues } from './unknowns.ts';
