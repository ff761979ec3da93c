import { Matrix, QrDecomposition } from 'ml-matrix';
import { InputError } from '../error/index.ts';

export interface LeastSquares {
  /** One for each column. */
  readonly coefficients: readonly number[];
  /** Standard deviation of the residuals, with rows minus columns degrees of freedom; 0 when there are none. */
  readonly residualSd: number;
  /** Standard errors of the coefficients. */
  readonly standardErrors: readonly number[];
}

/**
 * Coefficients that fit `y = X b` best.
 *
 * Law: ordinary least squares by QR decomposition, columns brought to one length first so that badly
 * scaled data lose no digits (standard numerical practice).
 *
 * @param rows one row of X for each observation; a constant is a column of ones
 * @throws InputError naming "rows" when there are fewer rows than columns or the columns depend on each other
 * @example leastSquares([[1, 0], [1, 1], [1, 2]], [1, 3, 5]).coefficients // [1, 2]
 */
export function leastSquares(rows: readonly (readonly number[])[], y: readonly number[]): LeastSquares {
  const columns = rows[0]?.length ?? 0;
  if (columns === 0 || rows.length < columns || rows.length !== y.length) {
    throw new InputError('rows', 'Give at least as many readings as there are numbers to find.');
  }
  const lengths = Array.from({ length: columns }, (_, at) => Math.hypot(...rows.map((row) => row[at] ?? 0)));
  if (lengths.some((length) => !(length > 0))) throw new InputError('rows', DEPENDENT);
  const scaled = new Matrix(rows.map((row) => row.map((value, at) => value / (lengths[at] ?? 1))));
  const decomposition = new QrDecomposition(scaled);
  const { upperTriangularMatrix } = decomposition;
  const pivots = upperTriangularMatrix.diagonal().map(Math.abs);
  if (Math.min(...pivots) < SMALLEST_PIVOT * Math.max(...pivots)) throw new InputError('rows', DEPENDENT);
  const fitted = decomposition.solve(Matrix.columnVector([...y])).to1DArray();
  const coefficients = fitted.map((value, at) => value / (lengths[at] ?? 1));
  const squares = rows.reduce((sum, row, index) => {
    const said = row.reduce((total, value, at) => total + value * (coefficients[at] ?? 0), 0);
    return sum + ((y[index] ?? 0) - said) ** 2;
  }, 0);
  const freedom = rows.length - columns;
  const residualSd = freedom > 0 ? Math.sqrt(squares / freedom) : 0;
  const inverse = new QrDecomposition(upperTriangularMatrix).solve(Matrix.eye(columns));
  const standardErrors = lengths.map(
    (length, at) => (residualSd * Math.hypot(...inverse.getRow(at))) / length,
  );
  return { coefficients, residualSd, standardErrors };
}

/** Columns of one length that leave less than this of each other's direction count as one. */
const SMALLEST_PIVOT = 1e-12;

const DEPENDENT = 'These readings cannot tell the numbers apart: take reference liquids that differ more.';
