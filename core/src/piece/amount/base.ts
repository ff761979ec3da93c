import { InputError, requirePositive } from '../../base/error/index.ts';
import { meanFilmLeftMm } from '../../flow/film/index.ts';
import { LIMITS } from '../../paint/stage/index.ts';
import { seamShares, type PlanBase, type PlanPaint } from '../plan/index.ts';
import { paintedArea, type SupportSize } from '../support/index.ts';
import { paintOf } from './layers.ts';

export interface BaseArea {
  readonly paint: PlanPaint;
  readonly share: number;
  readonly filmMm: number;
  readonly volumeMl: number;
  readonly massG: number;
}

/**
 * Base paint that stays on the face and the sides, area by area.
 *
 * Law: volume = film x (face + sides) x the area's share; film as the mean of what `film-left` computes, along the
 * longest way down the face, or as given.
 *
 * @throws InputError naming the field
 */
export function baseAreas(support: SupportSize, base: PlanBase, paints: readonly PlanPaint[]): BaseArea[] {
  const { faceCm2, sidesCm2 } = paintedArea(support);
  const shares = areaShares(support, base);
  return base.areas.map((area, index) => {
    const paint = paintOf(paints, area.cupId, `base.areas.${index}.cupId`);
    const share = shares[index]!;
    const filmMm = baseFilmMm(support, base, paint);
    const volumeMl = ((faceCm2 + sidesCm2) * share * filmMm) / 10;
    return { paint, share, filmMm, volumeMl, massG: volumeMl * paint.densityGPerMl };
  });
}

/** Mean film that a usual run-off leaves of a base as thick and heavy, mm. */
export const usualBaseMm = (
  support: SupportSize,
  paint: Pick<PlanPaint, 'viscosityPaS' | 'densityGPerMl'>,
): number =>
  meanFilmLeftMm({
    viscosityPaS: paint.viscosityPaS,
    densityKgM3: 1000 * paint.densityGPerMl,
    lengthM: Math.max(support.widthMm, support.heightMm) / 1000,
    ...LIMITS.runOff,
  });

/** Mean thickness of the base's film once it has run off, mm. */
function baseFilmMm(support: SupportSize, { film }: PlanBase, paint: PlanPaint): number {
  if (film.kind === 'thickness') {
    requirePositive('base.film.mm', film.mm, 'The film');
    return film.mm;
  }
  return meanFilmLeftMm({
    viscosityPaS: paint.viscosityPaS,
    densityKgM3: 1000 * paint.densityGPerMl,
    lengthM: Math.max(support.widthMm, support.heightMm) / 1000,
    tiltDeg: film.tiltDeg,
    seconds: film.seconds,
  });
}

/** The areas' shares of the face: along the seam, or as given; they add up to 1. */
function areaShares(support: SupportSize, base: PlanBase): number[] {
  const count = base.areas.length;
  const wanted = { one: [1], split: [2], marbled: [2, 3] }[base.pattern];
  if (!wanted.includes(count)) {
    throw new InputError('base.areas', `A base that is ${base.pattern} has ${wanted.join(' or ')} paints.`);
  }
  if (base.pattern === 'one') return [1];
  if (base.pattern === 'split' && base.seam) return seamShares(support, base.seam);
  const sum = base.areas.reduce((total, area) => total + area.share, 0);
  requirePositive('base.areas', sum, 'The shares of the base');
  return base.areas.map((area) => area.share / sum);
}
