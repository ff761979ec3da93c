import { CholeskyDecomposition, Matrix } from 'ml-matrix';
import { seededRandom } from '../random/index.ts';
import { cholesky } from './cholesky.ts';

it('random positive matrices are solved as a reference library solves them (ml-matrix)', () => {
  const random = seededRandom(3);
  for (let size = 1; size <= 12; size += 1) {
    const root = new Matrix(
      Array.from({ length: size }, () => Array.from({ length: size }, () => random() - 0.5)),
    );
    const matrix = root.mmul(root.transpose()).add(Matrix.eye(size, size, 0.1));
    const b = Array.from({ length: size }, () => random());
    const reference = new CholeskyDecomposition(matrix);
    const own = cholesky(matrix.to2DArray());
    own
      .solve(b)
      .forEach((value, at) =>
        expect(value).toBeCloseTo(reference.solve(Matrix.columnVector(b)).get(at, 0), 9),
      );
    const logs = reference.lowerTriangularMatrix.diagonal().map(Math.log);
    expect(own.logDeterminant).toBeCloseTo(2 * logs.reduce((sum, each) => sum + each, 0), 9);
  }
});
