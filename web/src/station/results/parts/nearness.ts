import { alongScale, isSame, scaleOf, type DifferingLine } from '@icy-ribbon/core/judgement/compare';

/** How near the pours of a line are: the band that counts as the same as the first, and whether all lie in it. */
export function nearnessOf({ quantity, values }: DifferingLine) {
  const first = values?.[0];
  if (!quantity || typeof first !== 'number') return undefined;
  const { isLog, same } = scaleOf(quantity);
  const [low, high] = isLog ? [first / same, first * same] : [first - same, first + same];
  const [from, to] = [alongScale(quantity, low), alongScale(quantity, high)];
  return {
    band: { left: `${100 * from}%`, width: `${100 * (to - from)}%` },
    areAllSame: values!.every((value) => value !== null && isSame(quantity, first, value)),
  };
}
