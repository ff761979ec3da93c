import { requirePositive } from '../../base/error/index.ts';
import { levelingRate } from '../../flow/film/level.ts';

/** A stickful's mound: its width, the paint under it, and how much of it the eye still sees. */
const MOUND = { wavelengthMm: 14, depthMm: 30, densityKgM3: 1100, surfaceTensionNM: 0.03, goneShare: 0.01 };

/**
 * Pa.s for each second a mound lasts, before the artist has calibrated it.
 *
 * Law: leveling of a bump in a deep layer (Orchard 1962), from its height down to a hundredth of it.
 * The shape of the mound is common practice, no published source.
 */
export const USUAL_MOUND_CONSTANT =
  levelingRate({ ...MOUND, thicknessMm: MOUND.depthMm, viscosityPaS: 1 }) / Math.log(1 / MOUND.goneShare);

/**
 * Spread of ln(viscosity) from mound seconds: of a single reading once the constant is calibrated (paint thins when
 * it is stirred, no two mounds are alike), and of the constant before; both together are 0.8 then (common practice).
 */
const MOUND_SD_LN = 0.38;
export const MOUND_CONSTANT_SD_LN = Math.sqrt(0.8 ** 2 - MOUND_SD_LN ** 2);

/** A hand times no better than this, s. */
const HAND_S = 0.15;
/** A mound that is gone sooner was too quick to be timed: the cup is thinner than this tells, s. */
export const LEAST_MOUND_S = 0.5;

/**
 * Spread of a mound's ln(viscosity) by itself, with the hand that timed it.
 *
 * @example moundSdLn(2) // 0.3874
 */
export const moundSdLn = (seconds: number): number => Math.hypot(MOUND_SD_LN, HAND_S / seconds);

/**
 * Viscosity from the seconds until a mound is gone; in proportion to them.
 *
 * @param constant Pa.s for each second
 * @throws InputError naming "seconds"
 * @example moundViscosity(2, 0.9) // 1.8
 */
export function moundViscosity(seconds: number, constant: number = USUAL_MOUND_CONSTANT): number {
  requirePositive('seconds', seconds, 'The seconds');
  return constant * seconds;
}

/**
 * Seconds a mound of this viscosity lasts.
 *
 * @example moundSeconds(0.8) // 0.1964
 */
export function moundSeconds(viscosityPaS: number, constant: number = USUAL_MOUND_CONSTANT): number {
  requirePositive('viscosityPaS', viscosityPaS, 'The viscosity');
  return viscosityPaS / constant;
}
