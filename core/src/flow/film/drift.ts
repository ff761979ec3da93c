import { requireNotNegative, requirePositive } from '../../base/error/index.ts';
import { GRAVITY_MS2 } from './level.ts';

/** Paint no longer moves when it is this many times as thick as it was poured (an assumption). */
const SET_RATIO = 1000;

/** The surface of a film runs half as fast again as its mean. */
const SURFACE_TO_MEAN = 1.5;

/**
 * How far the surface of a film creeps down a slight slope until it has set, or lies level.
 *
 * Law: u = rho g sin(a) h^2 / (2 mu), the surface speed of a film on an incline (Nusselt; from memory); as the water leaves,
 * mu grows evenly in its logarithm to a thousand times at the end (an assumption), so that the way is u0 T / ln 1000. It is
 * never more than what levels the surface while the rim holds: sin(a) L^2 / (8 h) on the mean in the middle, 3/2 of that at
 * the surface (what a wedge of the same volume has moved). Paint with a yield stress creeps less.
 *
 * @param film.slopeMmPerM how far one end lies lower, mm on a meter
 * @param film.lengthMm of the face down the slope
 * @param film.dryingSeconds in which its water leaves
 * @returns mm
 * @throws InputError naming the field
 * @example driftMm({ thicknessMm: 1, viscosityPaS: 1, densityKgM3: 1100, slopeMmPerM: 2, lengthMm: 400, dryingSeconds: 15600 }) // 24.37
 */
export function driftMm(film: {
  readonly thicknessMm: number;
  readonly viscosityPaS: number;
  readonly densityKgM3: number;
  readonly slopeMmPerM: number;
  readonly lengthMm: number;
  readonly dryingSeconds: number;
}): number {
  requirePositive('thicknessMm', film.thicknessMm, 'The thickness');
  requirePositive('viscosityPaS', film.viscosityPaS, 'The viscosity');
  requirePositive('densityKgM3', film.densityKgM3, 'The density');
  requireNotNegative('slopeMmPerM', film.slopeMmPerM, 'The slope');
  requirePositive('lengthMm', film.lengthMm, 'The length');
  requirePositive('dryingSeconds', film.dryingSeconds, 'The time it dries');
  const sine = Math.sin(Math.atan(film.slopeMmPerM / 1000));
  const speedMmS =
    (1e-3 * film.densityKgM3 * GRAVITY_MS2 * sine * film.thicknessMm ** 2) / (2 * film.viscosityPaS);
  const creepsMm = (speedMmS * film.dryingSeconds) / Math.log(SET_RATIO);
  const levelsMm = (SURFACE_TO_MEAN * sine * film.lengthMm ** 2) / (8 * film.thicknessMm);
  return Math.min(creepsMm, levelsMm);
}
