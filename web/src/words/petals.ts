/** "6", "none", or that they couldn't be counted. */
export const petalsCounted = (count: number | null): string =>
  count === null ? 'can’t be counted' : count === 0 ? 'none' : String(count);
