import { InputError, requirePositive } from '../../base/error/index.ts';
import { GRAVITY_MS2 } from './level.ts';

/** The eye sees paint creep at about this speed, m/s (common practice, an estimate). */
const SEEN_MS = 0.001;

/**
 * The angle at which the surface of a film just begins to creep: the law of `creepingMm`, solved.
 *
 * @returns degrees, at most 90
 * @throws InputError naming the field
 * @example creepsFromDeg({ thicknessMm: 4.5, viscosityPaS: 3, densityKgM3: 1150 }) // 1.505
 */
export function creepsFromDeg(film: {
  readonly thicknessMm: number;
  readonly viscosityPaS: number;
  readonly densityKgM3: number;
}): number {
  requirePositive('thicknessMm', film.thicknessMm, 'The thickness');
  requirePositive('viscosityPaS', film.viscosityPaS, 'The viscosity');
  requirePositive('densityKgM3', film.densityKgM3, 'The density');
  const thickM = film.thicknessMm / 1000;
  const slope = (2 * film.viscosityPaS * SEEN_MS) / (film.densityKgM3 * GRAVITY_MS2 * thickM ** 2);
  return (Math.asin(Math.min(1, slope)) * 180) / Math.PI;
}

/**
 * Thickness of a film whose surface just begins to creep when the support is tipped: what still moves at this angle is
 * thicker, what stands is thinner.
 *
 * Law: the surface of a film on a slope runs at u = rho g sin(a) h^2 / (2 mu) (Nusselt 1916, from memory); it is seen
 * from about 1 mm/s on, an estimate.
 *
 * @returns mm
 * @throws InputError naming the field
 * @example creepingMm({ tiltDeg: 15, viscosityPaS: 3, densityKgM3: 1150 }) // 1.433
 */
export function creepingMm(film: {
  readonly tiltDeg: number;
  readonly viscosityPaS: number;
  readonly densityKgM3: number;
}): number {
  requirePositive('viscosityPaS', film.viscosityPaS, 'The viscosity');
  requirePositive('densityKgM3', film.densityKgM3, 'The density');
  if (!(film.tiltDeg > 0 && film.tiltDeg <= 90)) {
    throw new InputError(
      'tiltDeg',
      'The tilt lies above 0 and at most 90 degrees; on a level face nothing runs.',
    );
  }
  const slope = Math.sin((film.tiltDeg * Math.PI) / 180);
  return 1000 * Math.sqrt((2 * film.viscosityPaS * SEEN_MS) / (film.densityKgM3 * GRAVITY_MS2 * slope));
}
