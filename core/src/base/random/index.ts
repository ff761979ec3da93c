/** A stream of numbers from 0 up to, not including, 1. */
export type Random = () => number;

/**
 * A seeded random stream: the same seed always gives the same numbers, so that pictures, simulated
 * devices and tests can be repeated.
 *
 * Method: a 32-bit counter through an integer hash (multiply-xorshift finalizer); period 2^32.
 *
 * @example seededRandom(7)() // 0.8937
 */
export function seededRandom(seed: number): Random {
  let counter = seed >>> 0;
  return () => {
    counter = (counter + 0x9e3779b9) >>> 0;
    let hash = counter;
    hash = Math.imul(hash ^ (hash >>> 16), 0x21f0aaad);
    hash = Math.imul(hash ^ (hash >>> 15), 0x735a2d97);
    return ((hash ^ (hash >>> 15)) >>> 0) / 2 ** 32;
  };
}

/** A standard normal deviate (Box & Muller 1958). */
export function gaussian(random: Random): number {
  return Math.sqrt(-2 * Math.log(1 - random())) * Math.cos(2 * Math.PI * random());
}

/** A random UUID (version 4 layout) from a seeded stream, for data that must come out the same each time. */
export function seededUuid(random: Random): string {
  const digits = Array.from({ length: 32 }, () => Math.floor(random() * 16));
  digits[12] = 4;
  digits[16] = 8 + ((digits[16] ?? 0) % 4);
  const hex = digits.map((digit) => digit.toString(16)).join('');
  return [hex.slice(0, 8), hex.slice(8, 12), hex.slice(12, 16), hex.slice(16, 20), hex.slice(20)].join('-');
}
