import type { Calibration, CalibrationKind } from '@icy-ribbon/contract';
import { InputError } from '@icy-ribbon/core/base/error';
import { calibrateConstant, calibrateDrainCup } from '@icy-ribbon/core/thickness/reading';
import { spreadWords } from '#words/thickness.ts';

/** What can be calibrated, and how. */
export const KINDS = [
  {
    value: 'card',
    label: 'Card',
    what: 'Seconds from tipping the card to the line, always with the same dot and tilt.',
  },
  { value: 'mound', label: 'Mound', what: 'Seconds until a mound of the reference is gone.' },
  {
    value: 'drain-cup',
    label: 'Cup with a hole',
    what: 'Seconds until the stream breaks. Two liquids that differ tell more than one.',
  },
] as const;

/** What a calibration comes to, in words. */
export function resultWords(of: CalibrationKind, given: Calibration['points']): string {
  try {
    if (of === 'drain-cup') {
      const { a, b, sdLn } = calibrateDrainCup(given);
      return `ν = ${a.toPrecision(3)} t${b > 0 ? ` − ${b.toPrecision(3)} / t` : ''}\u00a0mm²/s, ${spreadWords(sdLn)}`;
    }
    const { ln, sdLn } = calibrateConstant(of, given);
    return `${Math.exp(ln).toPrecision(3)}\u00a0Pa·s for each second, ${spreadWords(sdLn)}`;
  } catch (error) {
    if (error instanceof InputError) return error.message;
    throw error;
  }
}
