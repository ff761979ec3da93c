import { InputError, requirePositive } from '../../base/error/index.ts';

/** Spread of a tilt race's ln(viscosity ratio). */
export const RACE_SD_LN = 0.12;

/** What was read off the card: times to the same line, or run lengths when both were stopped. */
export type RaceRun =
  | { readonly seconds: number; readonly referenceSeconds: number }
  | { readonly lengthMm: number; readonly referenceLengthMm: number };

/**
 * Viscosity from a tilt race of two equal dots of equal density against a reference.
 *
 * Law: in Stokes flow the front depends on t/mu only, so mu/mu_ref = t/t_ref to the same line; stopped
 * at one moment, mu/mu_ref = (L_ref/L)^3. Source: Huppert 1982b, x = (9 A^2 g sin(a) t / 4 nu)^(1/3);
 * Lister 1992 has the same exponent for a dot (from memory).
 *
 * @param referencePaS viscosity of the reference, Pa.s
 * @throws InputError naming the field
 * @example tiltRace({ seconds: 9, referenceSeconds: 6 }, 1.4) // 2.1
 */
export function tiltRace(run: RaceRun, referencePaS: number): number {
  requirePositive('referencePaS', referencePaS, 'The reference’s viscosity');
  if ('seconds' in run) {
    requirePositive('seconds', run.seconds, 'The time');
    requirePositive('referenceSeconds', run.referenceSeconds, 'The reference’s time');
    return (referencePaS * run.seconds) / run.referenceSeconds;
  }
  requirePositive('lengthMm', run.lengthMm, 'The run length');
  requirePositive('referenceLengthMm', run.referenceLengthMm, 'The reference’s run length');
  return referencePaS * (run.referenceLengthMm / run.lengthMm) ** 3;
}

/**
 * A lane's run as the logarithm of what is in proportion to viscosity: ln t to the line, or -3 ln L.
 *
 * @throws InputError naming "value"
 * @example laneLn('time', 8) // 2.0794
 */
export function laneLn(by: 'time' | 'length', value: number): number {
  if (!Number.isFinite(value) || value <= 0) {
    throw new InputError(
      'value',
      by === 'time' ? 'Stop the lane when its dot crosses the line.' : 'Give the run length, above 0.',
    );
  }
  return by === 'time' ? Math.log(value) : -3 * Math.log(value);
}
