import type { DifferingLine } from '@icy-ribbon/core/judgement/compare';

/** Where a value lies between the least and the most of its line. */
export function along(line: DifferingLine, value: number): number {
  const given = line.values!.filter((each) => each !== null);
  const [low, high] = [Math.min(...given), Math.max(...given)];
  const ratio = line.quantity?.isRatio && low > 0;
  const at = (each: number) => (ratio ? Math.log(each) : each);
  return high > low ? (at(value) - at(low)) / (at(high) - at(low)) : 0.5;
}
