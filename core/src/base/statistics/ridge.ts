import { EigenvalueDecomposition, Matrix } from 'ml-matrix';

/** A regularized fit of standardized columns. */
export interface Ridge {
  /** One for each column, for one standard deviation of it, in standard deviations of y. */
  readonly coefficients: readonly number[];
  /** Covariance of the coefficients. */
  readonly covariance: readonly (readonly number[])[];
  readonly lambda: number;
  /** Share of the spread that a fit without the very row would have foretold; below 0 it is worse than the mean. */
  readonly predictedShare: number;
  readonly residualSd: number;
  /** Degrees of freedom the fit used up. */
  readonly used: number;
}

const LAMBDAS = Array.from({ length: 25 }, (_, step) => 10 ** (-2 + step / 6));

/**
 * Ridge regression, its strength chosen by leaving one row out (PRESS).
 *
 * Law: b = (X'X + kI)^-1 X'y; the row left out is foretold with residual e/(1 - h). Covariance s²(X'X + kI)^-1, as of a
 * normal prior on the coefficients. Source: Hoerl & Kennard 1970; Allen 1974 (from memory).
 *
 * @param x rows of standardized columns; @param y standardized
 */
export function ridge(x: readonly (readonly number[])[], y: readonly number[]): Ridge {
  const rows = x.length;
  const design = new Matrix(x.map((row) => [...row]));
  const { eigenvectorMatrix: axes, realEigenvalues: values } = new EigenvalueDecomposition(
    design.transpose().mmul(design),
    { assumeSymmetric: true },
  );
  const turned = design.mmul(axes);
  const target = Matrix.columnVector([...y]);
  const along = turned.transpose().mmul(target).to1DArray();
  const spread = y.reduce((sum, value) => sum + value * value, 0);
  let best: { lambda: number; press: number } | undefined;
  for (const lambda of LAMBDAS) {
    let press = 0;
    for (let row = 0; row < rows; row += 1) {
      let said = 0;
      let leverage = 1 / rows;
      for (let axis = 0; axis < values.length; axis += 1) {
        const value = turned.get(row, axis);
        const shrunk = Math.max(0, values[axis]!) + lambda;
        said += (value * along[axis]!) / shrunk;
        leverage += (value * value) / shrunk;
      }
      press += ((y[row]! - said) / Math.max(1e-3, 1 - leverage)) ** 2;
    }
    if (!best || press < best.press) best = { lambda, press };
  }
  const { lambda, press } = best!;
  const shrunk = values.map((value) => Math.max(0, value) + lambda);
  const coefficients = axes
    .mmul(Matrix.columnVector(along.map((value, axis) => value / shrunk[axis]!)))
    .to1DArray();
  const used = values.reduce((sum, value, axis) => sum + Math.max(0, value) / shrunk[axis]!, 1);
  const residuals = design.mmul(Matrix.columnVector(coefficients)).to1DArray();
  const squares = residuals.reduce((sum, said, row) => sum + (y[row]! - said) ** 2, 0);
  const variance = squares / Math.max(1, rows - used);
  const covariance = axes
    .mmul(Matrix.diag(shrunk.map((value) => variance / value)))
    .mmul(axes.transpose())
    .to2DArray();
  return {
    coefficients,
    covariance,
    lambda,
    predictedShare: 1 - press / spread,
    residualSd: Math.sqrt(variance),
    used,
  };
}
