import jstat from 'jstat';

/**
 * Quantile of Student's t, from the inverse of the regularized incomplete beta function.
 *
 * @param p probability below it, between 0 and 1
 * @param freedom degrees of freedom, above 0
 * @example studentT(0.975, 10) // 2.228139
 */
export const studentT = (p: number, freedom: number): number => jstat.studentt.inv(p, freedom);
