import type { FitName } from '@icy-ribbon/core/judgement/fit';

/** The film's unknowns in the artist's words, and what they are counted in. */
export const FIT_WORDS: Readonly<Record<FitName, { label: string; unit: string; digits: number }>> = {
  strength: { label: 'Your breath, times its usual exit', unit: '', digits: 2 },
  friction: { label: 'How the air rubs on the paint', unit: '', digits: 4 },
  tauHalfPa: { label: 'Shear at which paint runs twice as fast', unit: '\u00a0Pa', digits: 1 },
};

/** A value with the range that holds nine times in ten: "2.30, 1.80 to 2.94". */
export function fittedWords(name: FitName, value: number, sdLn: number): string {
  const { unit, digits } = FIT_WORDS[name];
  const [low, high] = [-1.645, 1.645].map((way) => (value * Math.exp(way * sdLn)).toFixed(digits));
  return `${value.toFixed(digits)}${unit}, ${low} to ${high}`;
}
