/** The lower triangle L of a symmetric positive matrix A = L L', and what follows from it. */
export interface Cholesky {
  /** x of A x = b. */
  solve(b: readonly number[]): number[];
  /** ln of the determinant of A. */
  readonly logDeterminant: number;
}

/**
 * Decomposes a symmetric positive definite matrix.
 *
 * Law: L_jj = sqrt(A_jj - sum L_jk^2), L_ij = (A_ij - sum L_ik L_jk) / L_jj (Cholesky; standard numerical practice).
 *
 * @example cholesky([[4, 2], [2, 3]]).solve([2, 5]) // [-0.5, 2]
 */
export function cholesky(matrix: readonly (readonly number[])[]): Cholesky {
  const size = matrix.length;
  const lower = matrix.map(() => new Array<number>(size).fill(0));
  for (let column = 0; column < size; column += 1) {
    for (let row = column; row < size; row += 1) {
      let left = matrix[row]![column]!;
      for (let k = 0; k < column; k += 1) left -= lower[row]![k]! * lower[column]![k]!;
      lower[row]![column] = row === column ? Math.sqrt(left) : left / lower[column]![column]!;
    }
  }
  return {
    logDeterminant: 2 * lower.reduce((sum, row, at) => sum + Math.log(row[at]!), 0),
    solve(b) {
      const x = [...b];
      for (let row = 0; row < size; row += 1) {
        for (let k = 0; k < row; k += 1) x[row]! -= lower[row]![k]! * x[k]!;
        x[row]! /= lower[row]![row]!;
      }
      for (let row = size - 1; row >= 0; row -= 1) {
        for (let k = row + 1; k < size; k += 1) x[row]! -= lower[k]![row]! * x[k]!;
        x[row]! /= lower[row]![row]!;
      }
      return x;
    },
  };
}
