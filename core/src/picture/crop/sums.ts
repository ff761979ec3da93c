/** Sums over rectangles of a picture, each in four looks (a summed-area table; Crow 1984, from memory). */
export interface Sums {
  /** @param box left, top, right, bottom; the last two beyond it */
  of(box: readonly [number, number, number, number]): number;
}

/**
 * @param valueAt of a pixel
 * @example sumsOf(2, 2, () => 1).of([0, 0, 2, 1]) // 2
 */
export function sumsOf(width: number, height: number, valueAt: (x: number, y: number) => number): Sums {
  const row = width + 1;
  const table = new Float64Array(row * (height + 1));
  for (let y = 0; y < height; y += 1) {
    let across = 0;
    for (let x = 0; x < width; x += 1) {
      across += valueAt(x, y);
      table[(y + 1) * row + x + 1] = table[y * row + x + 1]! + across;
    }
  }
  return {
    of: ([left, top, right, bottom]) =>
      table[bottom * row + right]! -
      table[top * row + right]! -
      table[bottom * row + left]! +
      table[top * row + left]!,
  };
}
