import { waterLeavesSeconds } from '../../flow/drying/index.ts';
import { driftMm } from '../../flow/film/index.ts';
import { dryingFilm } from './film.ts';

/** So slight a slope that the way grows evenly with it, mm on a meter. */
const SLIGHT = 1;

/**
 * How far the design of a pour creeps until it sets for each mm on a meter that its rack is off level.
 *
 * Law: `driftMm`, with the film where most of it lies, the mean viscosity (in its logarithm, by mass) of what was laid, and
 * the time in which its water leaves.
 *
 * @returns mm for each mm on a meter; null when nothing was logged as laid
 */
export function driftPerSlope(record: Parameters<typeof dryingFilm>[0]): number | null {
  const film = dryingFilm(record);
  if (!film) return null;
  return driftMm({
    thicknessMm: film.thickMm,
    viscosityPaS: film.viscosityPaS,
    densityKgM3: 1000 * film.densityGPerMl,
    slopeMmPerM: SLIGHT,
    lengthMm: Math.max(record.support.widthMm, record.support.heightMm),
    dryingSeconds: waterLeavesSeconds(film),
  });
}
