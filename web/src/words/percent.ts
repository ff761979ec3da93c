/** A share in percent, whole or with so many digits; a trace below nothing is nothing. */
export function percent(share: number, digits = 0): string {
  const unit = 10 ** digits;
  return `${(Math.round(100 * share * unit) / unit + 0).toFixed(digits)}\u00a0%`;
}

/** A share in percent, with a digit where it is small. */
export const finePercent = (share: number): string => percent(share, share < 0.1 ? 1 : 0);
