/**
 * Solves A X = B by elimination with partial pivoting. For small dense systems that are solved many thousand times, where
 * objects for matrices cost more than the arithmetic.
 *
 * @param a n x n, row by row; spoilt by it
 * @param b n x m, row by row; X afterwards
 * @param m right-hand sides
 */
export function solveInPlace(a: Float64Array, b: Float64Array, m: number): void {
  const n = b.length / m;
  for (let column = 0; column < n; column += 1) {
    let pivot = column;
    for (let row = column + 1; row < n; row += 1) {
      if (Math.abs(a[row * n + column]!) > Math.abs(a[pivot * n + column]!)) pivot = row;
    }
    if (pivot !== column) {
      swapRows(a, n, pivot, column);
      swapRows(b, m, pivot, column);
    }
    const top = a[column * n + column]!;
    for (let row = column + 1; row < n; row += 1) {
      const factor = a[row * n + column]! / top;
      if (factor === 0) continue;
      for (let at = column + 1; at < n; at += 1) a[row * n + at]! -= factor * a[column * n + at]!;
      for (let at = 0; at < m; at += 1) b[row * m + at]! -= factor * b[column * m + at]!;
    }
  }
  for (let row = n - 1; row >= 0; row -= 1) {
    for (let at = 0; at < m; at += 1) {
      let rest = b[row * m + at]!;
      for (let next = row + 1; next < n; next += 1) rest -= a[row * n + next]! * b[next * m + at]!;
      b[row * m + at] = rest / a[row * n + row]!;
    }
  }
}

function swapRows(values: Float64Array, width: number, one: number, other: number): void {
  for (let at = 0; at < width; at += 1) {
    const kept = values[one * width + at]!;
    values[one * width + at] = values[other * width + at]!;
    values[other * width + at] = kept;
  }
}
