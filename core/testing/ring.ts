/**
 * Two rings of tests: `npm test` runs simulations at the size that still finds the defect, `npm run proof` in full.
 *
 * @example it.each(ring([1], [1, 2, 3]))
 */
export const ring = <Value>(short: Value, full: Value): Value =>
  process.env.ICY_RIBBON_RING === 'proof' ? full : short;
