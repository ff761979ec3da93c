/** How far a number can be trusted: the kind's usual value, or one the artist measured. */
export const TRUSTS = ['typical', 'measured'] as const;
export type Trust = (typeof TRUSTS)[number];

/**
 * Standard deviation of ln(viscosity) that goes with a trust.
 *
 * A typical paint is known to a factor of 2.5 (ln 2.5 = 0.92), a measured one to the spread of a tilt
 * race (0.12). Water is known.
 *
 * @example viscositySdLn('artist-tube', 'measured') // 0.12
 */
export function viscositySdLn(kind: string, trust: Trust): number {
  if (kind === 'water') return 0;
  return trust === 'measured' ? 0.12 : Math.log(2.5);
}
