export { CELL_RULES, OUTLINE_POINTS, type Cell, type CellRules } from './cells.ts';
export { project, quadArea, rectangleTo, type Homography } from './homography.ts';
export {
  measurePhoto,
  MEASURE_STEPS,
  type Measured,
  type MeasuredPicture,
  type MeasureStep,
} from './measure.ts';
export type { Corners, MeasureInput, PaletteColor, PatchMm, PhotoPixels, Point } from './photo.ts';
export { WARNING_CODES, type PhotoWarning, type WarningCode } from './warnings.ts';
