export {
  CELL_CAUSES,
  expectedCells,
  opensByItself,
  expectedOf,
  pouredStack,
  type CellCause,
  type ExpectedCells,
} from './expected.ts';
export { activatorKey, activatorOf, measuredCells, type ActivatorCup } from './measured.ts';
export {
  forecastError,
  learnCells,
  type CellKind,
  type ForecastError,
  type MeasuredCells,
  type OwnCells,
} from './ownCells.ts';
