import { InputError, requirePositive } from '../../base/error/index.ts';
import { GRAVITY_MS2 } from './level.ts';

/**
 * Thickness of the film left at the lower edge of a tilted face when the rest has run off.
 *
 * Law: h = sqrt(mu L / (rho g sin(a) t)). Source: Jeffreys 1930 (from memory). Holds away from the edges,
 * for a Newtonian film that started thicker than this.
 *
 * @param film.lengthM from the upper edge, down the slope; @param film.tiltDeg from level, above 0 up to 90
 * @returns mm
 * @throws InputError naming the field
 * @example filmLeftMm({ viscosityPaS: 0.8, densityKgM3: 1100, lengthM: 0.3, tiltDeg: 30, seconds: 30 }) // 1.218
 */
export function filmLeftMm(film: {
  readonly viscosityPaS: number;
  readonly densityKgM3: number;
  readonly lengthM: number;
  readonly tiltDeg: number;
  readonly seconds: number;
}): number {
  requirePositive('viscosityPaS', film.viscosityPaS, 'The viscosity');
  requirePositive('densityKgM3', film.densityKgM3, 'The density');
  requirePositive('lengthM', film.lengthM, 'The length down the slope');
  requirePositive('seconds', film.seconds, 'The time');
  if (!(film.tiltDeg > 0 && film.tiltDeg <= 90)) {
    throw new InputError(
      'tiltDeg',
      'The tilt lies above 0 and at most 90 degrees; on a level face nothing runs.',
    );
  }
  const slope = Math.sin((film.tiltDeg * Math.PI) / 180);
  return (
    1000 *
    Math.sqrt((film.viscosityPaS * film.lengthM) / (film.densityKgM3 * GRAVITY_MS2 * slope * film.seconds))
  );
}

/** The film grows like the square root of the way down, so its mean is this share of what lies at the lower edge. */
const MEAN_SHARE = 2 / 3;

/**
 * Mean thickness over the whole face of the film that `filmLeftMm` gives at the lower edge: what amounts are made of.
 *
 * Law: the mean of sqrt(x/L) from 0 to L is 2/3.
 *
 * @returns mm
 * @throws InputError naming the field
 * @example meanFilmLeftMm({ viscosityPaS: 0.8, densityKgM3: 1100, lengthM: 0.3, tiltDeg: 30, seconds: 30 }) // 0.812
 */
export const meanFilmLeftMm = (film: Parameters<typeof filmLeftMm>[0]): number =>
  MEAN_SHARE * filmLeftMm(film);
