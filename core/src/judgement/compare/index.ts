export {
  LEAST_POURS,
  madeTheDifference,
  scaled,
  type DifferenceAnswer,
  type Influence,
  type PourNumbers,
  type Silence,
} from './madeTheDifference.ts';
export { onCommonCells } from './commonCells.ts';
export { nextTest, type NextTest } from './nextTest.ts';
export { CAUSES, EFFECTS, findQuantity, quantitiesOf, type Quantity } from './quantities.ts';
export { alongScale, isSame, scaleOf, type QuantityScale } from './scale.ts';
export { LEAST_POINTS, trendOf, type Trend } from './trend.ts';
export { differing, type DifferingLine } from './differs.ts';
