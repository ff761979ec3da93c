import jstat from 'jstat';

/**
 * Quantile of Student's t, from the inverse of the regularized incomplete beta function.
 *
 * @param p probability below it, between 0 and 1
 * @param freedom degrees of freedom, above 0
 * @example studentT(0.975, 10) // 2.228139
 */
export const studentT = (p: number, freedom: number): number => jstat.studentt.inv(p, freedom);

/**
 * Quantile of chi-squared, from the inverse of the regularized incomplete gamma function.
 *
 * @param p probability below it, between 0 and 1
 * @param freedom degrees of freedom, above 0
 * @example chiSquared(0.99, 3) // 11.344867
 */
export const chiSquared = (p: number, freedom: number): number => jstat.chisquare.inv(p, freedom);
