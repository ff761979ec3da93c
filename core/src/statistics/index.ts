export { leastSquares, type LeastSquares } from './leastSquares.ts';
export { normalBelow } from './normal.ts';
