import { rpmOfShear, spinShearPa } from '../../flow/film/index.ts';
import { LIMITS } from '../../paint/stage/index.ts';
import { middleFilm, pieceFilm } from '../amount/index.ts';
import type { CheckInput, Finding } from './finding.ts';

/** What a spin does: it may pull too hard at the rim, or leave the middle too thick. */
export function spinFindings({ plan, support, paints, blowers }: CheckInput): Finding[] {
  const { spinRpm: rpm } = plan.settings;
  const film = rpm > 0 ? pieceFilm(support, plan, paints, blowers) : null;
  if (!film) return [];
  const radiusMm = Math.min(support.widthMm, support.heightMm) / 2;
  const at = { thicknessMm: film.laidMm, densityKgM3: film.densityKgM3, radiusMm };
  const shearPa = spinShearPa({ ...at, rpm });
  const { most } = LIMITS.spinShearPa;
  const aimRpm = Math.floor(rpmOfShear(at, most));
  const fast: Finding[] =
    shearPa > most
      ? [
          {
            id: 'spin-fast',
            level: 'look',
            code: 'spin-fast',
            facts: { rpm, shearPa, aimRpm },
            fix: { kind: 'settings', changes: { spinRpm: aimRpm } },
          },
        ]
      : [];
  const middle = middleFilm(plan, paints, blowers);
  const thick: Finding[] =
    middle && middle.afterMm > LIMITS.middleMm.thick
      ? [
          {
            id: 'middle-thick',
            level: 'look',
            code: 'middle-thick',
            facts: { middleMm: middle.afterMm },
            fix: null,
          },
        ]
      : [];
  return [...fast, ...thick];
}
