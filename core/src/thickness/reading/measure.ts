import { InputError } from '../../base/error/index.ts';
import { stageCenter, type StageName } from '../../paint/stage/index.ts';
import { DRAIN_CUPS, drained, type DrainCupName } from './drainCup.ts';
import {
  LEAST_MOUND_S,
  MOUND_CONSTANT_SD_LN,
  moundSdLn,
  moundViscosity,
  USUAL_MOUND_CONSTANT,
} from './mound.ts';
import { laneLn, RACE_SD_LN } from './tiltRace.ts';
import { WORDS_BIAS_SD_LN, WORDS_SD_LN } from './wordsSpread.ts';

/** A number that was calibrated: its logarithm's mean and spread. */
export interface Calibrated {
  readonly ln: number;
  readonly sdLn: number;
}

/** What was read, as it was read; what it says of thickness is computed from it. */
export type Measure =
  | {
      readonly kind: 'words';
      readonly stage: StageName;
      /** How this artist's words lay when it was said, if the eye was practiced. */
      readonly eye?: (Calibrated & { readonly spreadLn: number }) | null | undefined;
    }
  | {
      readonly kind: 'mound';
      readonly seconds: number;
      /** ln of Pa.s for each second, if calibrated. */
      readonly constant: Calibrated | null;
    }
  | {
      readonly kind: 'drain-cup';
      readonly cup: DrainCupName | 'own';
      readonly own: {
        readonly name: string;
        readonly a: number;
        readonly b: number;
        readonly sdLn: number;
      } | null;
      readonly seconds: number;
      readonly densityGPerMl: number;
    }
  | {
      readonly kind: 'race';
      readonly by: 'time' | 'length';
      /** Seconds to the line, or mm run. */
      readonly value: number;
      /** How unsure a run length is that was read off a picture, mm. */
      readonly sdMm?: number | undefined;
      /** A lane of a reference liquid. */
      readonly liquid: { readonly name: string; readonly viscosityPaS: number; readonly sdLn: number } | null;
      /** ln of Pa.s for each second on a calibrated card. */
      readonly card: Calibrated | null;
    };

const DRAIN_CUP_SD_LN = 0.08;

/** What a measure says of ln(viscosity), and what it shares with other readings. */
export interface Interpreted {
  readonly ln: number;
  readonly sdLn: number;
  /** It is at most this thick; how much thinner cannot be told. */
  readonly atMost?: true;
  /** What is still to be added to `ln`, and taken off the cup's: known by its prior, sharpened by other readings. */
  readonly constant?: { readonly of: 'mound' | 'race' | 'words'; readonly prior: Calibrated | null };
}

/**
 * What one measure says of ln(viscosity) by itself.
 *
 * @returns the reading's ln and its spread; for words, a mound and a race the constant that belongs to it, which
 * other readings may sharpen, is named and left out
 * @throws InputError naming the field
 */
export function interpret(measure: Measure): Interpreted {
  switch (measure.kind) {
    case 'words':
      return {
        ln: Math.log(stageCenter(measure.stage)),
        sdLn: measure.eye?.spreadLn ?? WORDS_SD_LN,
        // What they have in common is added to a reading: an eye that sees paint too thick takes it off.
        constant: {
          of: 'words',
          prior: measure.eye
            ? { ln: -measure.eye.ln, sdLn: measure.eye.sdLn }
            : { ln: 0, sdLn: WORDS_BIAS_SD_LN },
        },
      };
    case 'mound': {
      const ln = Math.log(moundViscosity(measure.seconds, 1));
      const shortest = Math.log(moundViscosity(LEAST_MOUND_S, 1));
      return {
        ln: Math.max(ln, shortest),
        sdLn: moundSdLn(Math.max(measure.seconds, LEAST_MOUND_S)),
        ...(ln < shortest ? { atMost: true as const } : {}),
        constant: {
          of: 'mound',
          prior: measure.constant ?? { ln: Math.log(USUAL_MOUND_CONSTANT), sdLn: MOUND_CONSTANT_SD_LN },
        },
      };
    }
    case 'drain-cup': {
      const cup = measure.own
        ? { ...measure.own, fromS: 0, toS: Infinity, label: measure.own.name }
        : DRAIN_CUPS[measure.cup as DrainCupName];
      const { viscosityPaS } = drained(cup, measure.seconds, measure.densityGPerMl);
      return { ln: Math.log(viscosityPaS), sdLn: Math.hypot(DRAIN_CUP_SD_LN, measure.own?.sdLn ?? 0) };
    }
    case 'race':
      return {
        ln: laneLn(measure.by, measure.value),
        // Each lane brings its share; the ratio of two lanes is good to 0.12.
        sdLn: Math.hypot(RACE_SD_LN / Math.SQRT2, readingLn(measure)),
        constant: { of: 'race', prior: measure.card },
      };
  }
}

/** Thickness goes with the cube of a run length, and so does what is unsure in it. */
function readingLn({ by, value, sdMm }: Extract<Measure, { kind: 'race' }>): number {
  return by === 'length' && sdMm !== undefined ? (3 * sdMm) / value : 0;
}

/** Why a measure says nothing of thickness, undefined when it does: what was timed lies outside of what can be read off. */
export function unreadable(measure: Measure): string | undefined {
  try {
    interpret(measure);
    return undefined;
  } catch (error) {
    if (error instanceof InputError) return error.message;
    throw error;
  }
}

/** One measure as a viscosity with its spread; `undefined` for a race lane on a card that is not calibrated. */
export function measured(
  measure: Measure,
): { viscosityPaS: number; sdLn: number; atMost?: true } | undefined {
  const { ln, sdLn, constant, atMost } = interpret(measure);
  const said = atMost ? { atMost } : {};
  if (!constant) return { viscosityPaS: Math.exp(ln), sdLn, ...said };
  if (!constant.prior) return undefined;
  return {
    viscosityPaS: Math.exp(ln + constant.prior.ln),
    sdLn: Math.hypot(sdLn, constant.prior.sdLn),
    ...said,
  };
}
