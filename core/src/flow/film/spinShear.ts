import { requirePositive } from '../../base/error/index.ts';

/**
 * Stress that a turn puts on the foot of a film at some distance from the middle, Pa. It draws cells out; an estimate of
 * when, as they are drawn by what they run through as well.
 *
 * Law: tau = rho w^2 r h, the centrifugal pull on a column of paint (mechanics).
 *
 * @throws InputError naming the field
 * @example spinShearPa({ thicknessMm: 3, densityKgM3: 1150, rpm: 50, radiusMm: 200 }) // 18.92
 */
export function spinShearPa(film: {
  readonly thicknessMm: number;
  readonly densityKgM3: number;
  readonly rpm: number;
  readonly radiusMm: number;
}): number {
  requirePositive('thicknessMm', film.thicknessMm, 'The thickness');
  requirePositive('densityKgM3', film.densityKgM3, 'The density');
  requirePositive('radiusMm', film.radiusMm, 'The distance from the middle');
  requirePositive('rpm', film.rpm, 'The turns a minute');
  const turn = (2 * Math.PI * film.rpm) / 60;
  return film.densityKgM3 * turn ** 2 * (film.radiusMm / 1000) * (film.thicknessMm / 1000);
}

/**
 * Turns a minute at which that stress is reached: the law of `spinShearPa`, solved.
 *
 * @example rpmOfShear({ thicknessMm: 3, densityKgM3: 1150, radiusMm: 200 }, 20) // 51.4
 */
export function rpmOfShear(
  film: { readonly thicknessMm: number; readonly densityKgM3: number; readonly radiusMm: number },
  shearPa: number,
): number {
  return 60 * Math.sqrt(shearPa / spinShearPa({ ...film, rpm: 60 }));
}
