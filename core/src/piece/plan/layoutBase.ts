import { meanFilmLeftMm } from '../../flow/film/index.ts';
import { LIMITS } from '../../paint/stage/index.ts';
import { paintedArea, type SupportSize } from '../support/index.ts';
import { firstOf, type LayoutParts } from './layoutParts.ts';
import { pillowOnFace } from './pillow.ts';
import { USUAL_FILM, type BaseFilm, type PlanBase, type PlanPaint } from './plan.ts';

/** A Dutch face is covered with the first base; a bloom stands on its pillow alone. */
export function usualBase(parts: LayoutParts): PlanBase | null {
  const pillow = parts.pillow === 'face' && firstOf(parts, 'pillow');
  if (pillow) return pillowOnFace(pillow.id);
  const paint = firstOf(parts, 'base');
  if (!paint) return null;
  return {
    pattern: 'one',
    areas: [{ cupId: paint.id, share: 1 }],
    seam: null,
    film: filmFor(parts.support, paint),
  };
}

/** A base of bloom paint stays on thicker than it should: it is left to run longer (common practice). */
const THICK_BASE_MM = 1.5;
const LEAST_SHARE = 0.65;

/** Mean film that a usual run-off leaves of a paint, mm. */
const usualFilmMm = (support: SupportSize, paint: PlanPaint): number =>
  meanFilmLeftMm({
    viscosityPaS: paint.viscosityPaS,
    densityKgM3: 1000 * paint.densityGPerMl,
    lengthM: Math.max(support.widthMm, support.heightMm) / 1000,
    ...LIMITS.runOff,
  });

/** What a usual run-off leaves of a paint on the face, g. */
export const usualBaseG = (support: SupportSize, paint: PlanPaint): number =>
  (usualFilmMm(support, paint) / 10) * paintedArea(support).faceCm2 * paint.densityGPerMl;

function filmFor(support: SupportSize, paint: PlanPaint): BaseFilm {
  const usualMm = usualFilmMm(support, paint);
  if (usualMm <= THICK_BASE_MM) return USUAL_FILM;
  const longer = (usualMm / Math.max(THICK_BASE_MM, LEAST_SHARE * usualMm)) ** 2;
  return { kind: 'run-off', ...LIMITS.runOff, seconds: Math.ceil(LIMITS.runOff.seconds * longer) };
}

export function splitBase(parts: LayoutParts, seam: PlanBase['seam']): PlanBase | null {
  const bases = parts.paints.filter((paint) => paint.role === 'base');
  const [one, two] = [bases[0], bases[1] ?? bases[0]];
  if (!one || !two) return null;
  return {
    pattern: 'split',
    areas: [
      { cupId: one.id, share: 0.5 },
      { cupId: two.id, share: 0.5 },
    ],
    seam,
    film: filmFor(parts.support, one),
  };
}
