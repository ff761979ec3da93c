import { requireNotNegative, requirePositive } from '../../base/error/index.ts';

/**
 * Thickness of a film after spinning.
 *
 * Law: h = h0 / sqrt(1 + 4 rho w^2 h0^2 t / (3 mu)). Source: Emslie, Bonner & Peck 1958 (from memory). Holds
 * for an even Newtonian film on a level turning plate, away from its rim.
 *
 * @returns mm
 * @throws InputError naming the field
 * @example spunMm({ thicknessMm: 3, viscosityPaS: 3, densityKgM3: 1150, rpm: 60, seconds: 10 }) // 1.788
 */
export function spunMm(film: {
  readonly thicknessMm: number;
  readonly viscosityPaS: number;
  readonly densityKgM3: number;
  readonly rpm: number;
  readonly seconds: number;
}): number {
  requirePositive('thicknessMm', film.thicknessMm, 'The thickness');
  requirePositive('viscosityPaS', film.viscosityPaS, 'The viscosity');
  requirePositive('densityKgM3', film.densityKgM3, 'The density');
  requireNotNegative('rpm', film.rpm, 'The turns a minute');
  requireNotNegative('seconds', film.seconds, 'The time');
  const h0 = film.thicknessMm / 1000;
  const w = (film.rpm * 2 * Math.PI) / 60;
  const thinning = (4 * film.densityKgM3 * w ** 2 * h0 ** 2 * film.seconds) / (3 * film.viscosityPaS);
  return (1000 * h0) / Math.sqrt(1 + thinning);
}
