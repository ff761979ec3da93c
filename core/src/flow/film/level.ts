import { requireNotNegative, requirePositive } from '../../base/error/index.ts';

export const GRAVITY_MS2 = 9.81;

/**
 * How fast a ripple on a film levels, as the rate of its exponential decay, 1/s.
 *
 * Law: (rho g + gamma k^2) / (2 mu k) * (sinh kh cosh kh - kh) / (cosh^2 kh + k^2 h^2), k = 2 pi / wavelength.
 * Source: Orchard 1962 (from memory). Holds for ripples low beside their length, slow flow, no drying.
 *
 * @throws InputError naming the field
 * @example levelingRate({ wavelengthMm: 10, thicknessMm: 1, viscosityPaS: 1, densityKgM3: 1100, surfaceTensionNM: 0.03 })
 * // 1.747
 */
export function levelingRate(film: {
  readonly wavelengthMm: number;
  readonly thicknessMm: number;
  readonly viscosityPaS: number;
  readonly densityKgM3: number;
  readonly surfaceTensionNM: number;
}): number {
  requirePositive('wavelengthMm', film.wavelengthMm, 'The wavelength');
  requirePositive('thicknessMm', film.thicknessMm, 'The thickness');
  requirePositive('viscosityPaS', film.viscosityPaS, 'The viscosity');
  requirePositive('densityKgM3', film.densityKgM3, 'The density');
  requireNotNegative('surfaceTensionNM', film.surfaceTensionNM, 'The surface tension');
  const k = (2 * Math.PI) / (film.wavelengthMm / 1000);
  const kh = (k * film.thicknessMm) / 1000;
  const drive = film.densityKgM3 * GRAVITY_MS2 + film.surfaceTensionNM * k ** 2;
  return (drive / (2 * film.viscosityPaS * k)) * depthFactor(kh);
}

/** Goes as 2/3 (kh)^3 for thin films and to 1 for deep ones; written so that large kh cannot overflow. */
function depthFactor(kh: number): number {
  if (kh < 3e-3) return (2 / 3) * kh ** 3 * (1 - 1.8 * kh ** 2);
  const e = Math.exp(-2 * kh);
  const sinhCosh = (1 - e * e) / 4;
  const cosh2 = (1 + e) ** 2 / 4;
  return (sinhCosh - kh * e) / (cosh2 + kh * kh * e);
}
