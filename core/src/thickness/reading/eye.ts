import { InputError, requirePositive } from '../../base/error/index.ts';
import { LEAST_SHARED_LN, LEAST_WORDS_SD_LN, WORDS_BIAS_SD_LN, WORDS_SD_LN } from './wordsSpread.ts';

/** A thickness that was shown, and the middle of the stage that it was called, Pa.s. */
export interface Named {
  readonly shownPaS: number;
  readonly saidPaS: number;
}

/** How an artist's words lie: what they have in common, and how far each strays by itself, in ln(viscosity). */
export interface Eye {
  /** Above 0 the artist calls paint thicker than it is. */
  readonly ln: number;
  /** How surely that is known. */
  readonly sdLn: number;
  /** Spread of a single word. */
  readonly spreadLn: number;
  readonly named: number;
}

/** What is taken for granted of the spread of one word counts as much as so many of them (an assumption). */
const PRIOR_WORDS = 6;

/**
 * How an artist's words lie, from thicknesses that were shown and named. Without any it is what is taken for granted of everybody.
 *
 * Law: normal mean with a normal prior, and a pooled variance (standard statistics). A mound on a screen is not one in a cup: what is shared
 * stays unsure by 0.15 and a single word by 0.25 however many were named (an assumption).
 *
 * @throws InputError naming "named.N.shownPaS" or "named.N.saidPaS"
 */
export function eyeOf(named: readonly Named[]): Eye {
  if (named.length > 10_000) throw new InputError('named', 'At most 10,000 can be looked at.');
  const off = named.map(({ shownPaS, saidPaS }, index) => {
    requirePositive(`named.${index}.shownPaS`, shownPaS, 'The viscosity');
    requirePositive(`named.${index}.saidPaS`, saidPaS, 'The viscosity');
    return Math.log(saidPaS / shownPaS);
  });
  const n = off.length;
  const mean = n > 0 ? off.reduce((sum, each) => sum + each, 0) / n : 0;
  const squares = off.reduce((sum, each) => sum + (each - mean) ** 2, 0);
  const spread = Math.sqrt((PRIOR_WORDS * WORDS_SD_LN ** 2 + squares) / (PRIOR_WORDS + Math.max(0, n - 1)));
  const precision = n / spread ** 2 + 1 / WORDS_BIAS_SD_LN ** 2;
  return {
    ln: (mean * n) / spread ** 2 / precision,
    sdLn:
      n > 0
        ? Math.min(WORDS_BIAS_SD_LN, Math.hypot(1 / Math.sqrt(precision), LEAST_SHARED_LN))
        : WORDS_BIAS_SD_LN,
    spreadLn: Math.max(LEAST_WORDS_SD_LN, spread),
    named: n,
  };
}
