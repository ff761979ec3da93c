/** Weights are kept as whole milligrams wherever they are added up or stored, so that sums are exact. */
const MG_PER_G = 1000;

/**
 * Grams to whole milligrams, to the nearest.
 *
 * @example toMg(56.25) // 56250
 */
export function toMg(massG: number): number {
  return Math.round(massG * MG_PER_G);
}

/**
 * Grams of whole milligrams.
 *
 * @example toG(56_250) // 56.25
 */
export function toG(massMg: number): number {
  return massMg / MG_PER_G;
}

/**
 * Splits a whole number of milligrams in the ratio of `weights` without losing or inventing any: the
 * largest remainders get the milligrams that rounding leaves over.
 *
 * @param totalMg whole number of milligrams, 0 or more
 * @param weights any numbers of 0 or more with a sum above 0
 * @returns whole milligrams in the order of `weights`; their sum is `totalMg`
 * @example splitMg(56250, [2, 1, 0.75]) // [30000, 15000, 11250]
 */
export function splitMg(totalMg: number, weights: readonly number[]): number[] {
  const sum = weights.reduce((total, weight) => total + weight, 0);
  const exact = weights.map((weight) => (totalMg * weight) / sum);
  const whole = exact.map(Math.floor);
  let left = totalMg - whole.reduce((total, part) => total + part, 0);
  const byRemainder = exact
    .map((value, index) => ({ index, remainder: value - Math.floor(value) }))
    .sort((a, b) => b.remainder - a.remainder || a.index - b.index);
  for (const { index } of byRemainder) {
    if (left <= 0) break;
    whole[index] = (whole[index] ?? 0) + 1;
    left -= 1;
  }
  return whole;
}
