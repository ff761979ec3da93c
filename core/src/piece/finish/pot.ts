import { InputError } from '../../base/error/index.ts';

/** What a coat is made at the scale in, one after the other. */
export const POT_STEPS = ['weigh', 'stir', 'pour', 'bubbles', 'wait', 'again', 'cover'] as const;
export type PotStep = (typeof POT_STEPS)[number];

/** Minutes of the practice with resin (common practice, no published source); the kit's own come first. */
export const RESIN_MINUTES = { stir: 4, open: 40, bubbles: 10 } as const;

/** Each piece's part of a pot, whole milligrams that add up to it exactly: by area, the rest to the largest remainders. */
export function sharesOfPot(totalMg: number, areasMm2: readonly number[]): number[] {
  const total = areasMm2.reduce((sum, area) => sum + area, 0);
  if (!(total > 0)) throw new InputError('areasMm2', 'Nothing is coated: choose a piece.');
  const exact = areasMm2.map((area) => (totalMg * area) / total);
  const whole = exact.map(Math.floor);
  const rest = totalMg - whole.reduce((sum, mg) => sum + mg, 0);
  const order = exact
    .map((mg, index) => ({ index, part: mg - Math.floor(mg) }))
    .sort((a, b) => b.part - a.part || a.index - b.index);
  for (const { index } of order.slice(0, rest)) whole[index]! += 1;
  return whole;
}

/**
 * What is left of the time in which a stirred resin can be poured, seconds; below 0 it has begun to set.
 *
 * @example openSecondsLeft({ stirredAtMs: 0, openMinutes: 40 }, 60000) // 2340
 */
export const openSecondsLeft = (
  { stirredAtMs, openMinutes }: { readonly stirredAtMs: number; readonly openMinutes: number },
  nowMs: number,
): number => 60 * openMinutes - (nowMs - stirredAtMs) / 1000;
