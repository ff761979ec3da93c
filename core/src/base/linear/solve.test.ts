import { Matrix, solve } from 'ml-matrix';
import { seededRandom } from '../random/index.ts';
import { solveInPlace } from './index.ts';

/** Reference: the library ml-matrix, LU decomposition. */
it.each([1, 2, 5, 12, 48])('solves %i equations as the reference library does', (n) => {
  const random = seededRandom(n);
  for (let round = 0; round < 20; round += 1) {
    const m = 1 + (round % 3);
    const a = Float64Array.from({ length: n * n }, () => (random() < 0.3 ? 0 : random() - 0.5));
    for (let row = 0; row < n; row += 1) a[row * n + ((row + 1) % n)]! += 2;
    const b = Float64Array.from({ length: n * m }, () => random() - 0.5);
    const expected = solve(Matrix.from1DArray(n, n, a), Matrix.from1DArray(n, m, b)).to1DArray();
    solveInPlace(a, b, m);
    b.forEach((value, at) => expect(value).toBeCloseTo(expected[at]!, 10));
  }
});
