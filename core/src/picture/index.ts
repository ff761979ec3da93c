export { CELL_RULES, cellsOf, type Cell, type CellRules } from './cells.ts';
export { componentsOf } from './components.ts';
export { labelsWithoutEdges } from './labels.ts';
export { inverseOf, project, quadArea, rectangleTo, type Homography } from './homography.ts';
export { CUT_OFFS_MM, type CellsFrom } from './cellsFrom.ts';
export { lacingOf } from './lacing.ts';
export {
  measurePhoto,
  MEASURE_STEPS,
  type Measured,
  type MeasuredPicture,
  type MeasureStep,
} from './measure.ts';
export { byteOf, hexOf, linearRgb } from '../paint/color/oklab.ts';
export {
  moveCorners,
  type Corners,
  type MeasureInput,
  type PaletteColor,
  type PatchMm,
  type PhotoPixels,
  type Point,
} from './photo.ts';
export { quantile } from './quantile.ts';
export { shapesOf } from './shape.ts';
export { WARNING_CODES, type PhotoWarning, type WarningCode } from './warnings.ts';
export { petalsOf, type Petals } from './petals/index.ts';
export { paletteOfCups, type CupColor, type CupPalette } from './cups.ts';
export * from './cover/index.ts';
export * from './puddles/index.ts';
export * from './race/index.ts';
export * from './swatch/index.ts';
export { detailOf, maskOfRuns, numbersOf, type DetailReport } from './report.ts';
export { findCorners, type FoundCorners } from './corners.ts';
export { wetDry, type WetDry } from './wetDry.ts';
