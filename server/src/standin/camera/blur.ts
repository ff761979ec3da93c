/** A plane blurred by a Gaussian of this spread in pixels, edges held. */
export function blurred(plane: Float32Array, width: number, height: number, spread: number): Float32Array {
  if (spread <= 0) return plane;
  const reach = Math.max(1, Math.ceil(3 * spread));
  const weights = Array.from({ length: 2 * reach + 1 }, (_, index) =>
    Math.exp(-(((index - reach) / spread) ** 2) / 2),
  );
  const sum = weights.reduce((total, weight) => total + weight, 0);
  const kernel = Float64Array.from(weights, (weight) => weight / sum);
  const across = new Float32Array(plane.length);
  for (let y = 0; y < height; y += 1) {
    const row = y * width;
    for (let x = 0; x < width; x += 1) {
      const inside = x >= reach && x < width - reach;
      let value = 0;
      for (let step = -reach; step <= reach; step += 1) {
        const column = inside ? x + step : Math.min(width - 1, Math.max(0, x + step));
        value += kernel[step + reach]! * plane[row + column]!;
      }
      across[row + x] = value;
    }
  }
  const out = new Float32Array(plane.length);
  for (let y = 0; y < height; y += 1) {
    for (let step = -reach; step <= reach; step += 1) {
      const weight = kernel[step + reach]!;
      const row = Math.min(height - 1, Math.max(0, y + step)) * width;
      for (let x = 0; x < width; x += 1) out[y * width + x]! += weight * across[row + x]!;
    }
  }
  return out;
}
