export { leastSquares, type LeastSquares } from './leastSquares.ts';
export { NINE_IN_TEN, normalBelow, normalDensity } from './normal.ts';
export { withoutDrift } from './drift.ts';
export { correlation, forwardSelection, type Candidate, type Chosen } from './forwardSelection.ts';
export { chiSquared, studentT } from './quantiles.ts';
export { partialPooling, type Grouped, type Prediction } from './partialPooling.ts';
