import type { Random } from '../../base/random/index.ts';

/** Values evenly spread between two, in ln, each somewhere in its part of the range, in no order. */
export function spreadOver(least: number, most: number, count: number, random: Random): number[] {
  const whole = Math.log(most / least);
  const values = Array.from(
    { length: count },
    (_, part) => least * Math.exp((whole * (part + random())) / count),
  );
  for (let at = values.length - 1; at > 0; at -= 1) {
    const other = Math.floor(random() * (at + 1));
    [values[at], values[other]] = [values[other]!, values[at]!];
  }
  return values;
}
