/** How far a number can be trusted: the kind's usual value, one read off by eye, or one the artist measured. */
export const TRUSTS = ['typical', 'read', 'measured'] as const;
export type Trust = (typeof TRUSTS)[number];

/**
 * Standard deviation of ln(viscosity) that goes with a trust.
 *
 * A typical paint is known to a factor of 2.5 (ln 2.5 = 0.92), one that was read to what a few looks leave (0.4),
 * a measured one to the spread of a tilt race (0.12). Water is known.
 *
 * @example viscositySdLn('artist-tube', 'measured') // 0.12
 */
export function viscositySdLn(kind: string, trust: Trust): number {
  if (kind === 'water') return 0;
  return { typical: Math.log(2.5), read: 0.4, measured: 0.12 }[trust];
}

/** Readings that leave no more than this spread have measured; those that leave more have been read only. */
const MEASURED_SD_LN = 0.2;

/**
 * How far readings can be trusted that left this spread of ln(viscosity).
 *
 * @example trustOf(0.5) // 'read'
 */
export const trustOf = (sdLn: number): Trust => (sdLn <= MEASURED_SD_LN ? 'measured' : 'read');
