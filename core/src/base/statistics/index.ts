export { leastSquares, type LeastSquares } from './leastSquares.ts';
export { normalBelow } from './normal.ts';
export { ridge, type Ridge } from './ridge.ts';
export { studentT } from './studentT.ts';
