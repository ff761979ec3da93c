import type { FitName } from '@icy-ribbon/core/judgement/fit';

/** The film's unknowns in the artist's words, and what they are counted in. */
export const FIT_WORDS: Readonly<
  Record<FitName, { label: string; unit: string; digits: number; times?: number }>
> = {
  strength: { label: 'Your breath, times its usual exit', unit: '', digits: 2 },
  friction: { label: 'How the air rubs on the paint', unit: '', digits: 4 },
  tauHalfPa: { label: 'Shear at which paint runs twice as fast', unit: '\u00a0Pa', digits: 1 },
  ruptureM: {
    label: 'A sheet of activator opens where it is thinner than',
    ...{ unit: '\u00a0mm', digits: 2, times: 1000 },
  },
  spreadingNM: { label: 'Pull that opens its cells', unit: '\u00a0mN/m', digits: 1, times: 1000 },
  netM: { label: 'Thickness of the net between them', unit: '\u00a0mm', digits: 2, times: 1000 },
};

/** A value with the range that holds nine times in ten: "2.30, 1.80 to 2.94". */
export function fittedWords(name: FitName, value: number, sdLn: number): string {
  const { unit, digits, times = 1 } = FIT_WORDS[name];
  const [low, high] = [-1.645, 1.645].map((way) => (times * value * Math.exp(way * sdLn)).toFixed(digits));
  return `${(times * value).toFixed(digits)}${unit}, ${low} to ${high}`;
}
