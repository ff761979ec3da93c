import {
  baseAreas,
  usualBaseMm,
  type BaseArea,
  pieceFilm,
  secondsToSpin,
  type PieceFilm,
} from '../amount/index.ts';
import { rpmOfShear } from '../../flow/film/index.ts';
import { LIMITS } from '../../paint/stage/index.ts';
import type { CheckInput, Finding } from './finding.ts';
import type { Fix } from './fix.ts';

const USUAL_FILM_MM = LIMITS.filmMm;

/** Too much paint left on, too little, and a base that lies too thick or too thin. */
export function filmFindings(input: CheckInput): Finding[] {
  const { plan, support, paints, blowers } = input;
  const film = pieceFilm(support, plan, paints, blowers);
  if (!film) return [];
  const allMm = film.afterMm;
  const findings: Finding[] = [];
  if (allMm > USUAL_FILM_MM.thick) {
    findings.push({
      id: 'too-much',
      level: 'look',
      code: 'too-much',
      facts: { filmMm: allMm },
      fix: tooMuch(input, film),
    });
  }
  if (plan.base) {
    const films = baseAreas(support, plan.base, paints);
    const usualMm = ({ paint }: BaseArea) => usualBaseMm(support, paint);
    const [thin] = films.filter((area) => area.filmMm < LIMITS.baseOfFilm.least * usualMm(area));
    const [thick] = films.filter((area) => area.filmMm > USUAL_FILM_MM.thick);
    const odd = thin ?? thick;
    if (odd) {
      findings.push({
        id: `film ${odd.paint.id}`,
        level: 'look',
        code: thin ? 'base-thin' : 'base-thick',
        facts: { name: odd.paint.name, filmMm: odd.filmMm, usualMm: usualMm(odd) },
        fix: { kind: 'film', mm: Number(usualMm(odd).toFixed(2)) },
      });
    }
  } else if (allMm < USUAL_FILM_MM.thin && input.technique !== 'bloom') {
    findings.push({
      id: 'no-base',
      level: 'look',
      code: 'no-base',
      facts: { filmMm: allMm },
      fix: { kind: 'add-base' },
    });
  }
  return findings;
}

/** A bloom is spun until enough has run off; of a Dutch pour less is laid. */
function tooMuch({ technique, support }: CheckInput, film: PieceFilm): Fix {
  const toMm = 0.95 * USUAL_FILM_MM.thick;
  if (technique !== 'bloom') return { kind: 'scale-layers', factor: toMm / film.afterMm };
  const radiusMm = Math.min(support.widthMm, support.heightMm) / 2;
  const at = { thicknessMm: film.laidMm, densityKgM3: film.densityKgM3, radiusMm };
  const rpm = Math.floor(Math.min(LIMITS.spinRpm.most, rpmOfShear(at, LIMITS.spinShearPa.most)));
  const seconds = secondsToSpin({ ...film, fromMm: film.laidMm, toMm, rpm });
  return { kind: 'settings', changes: { spinRpm: rpm, spinSeconds: Math.ceil(seconds) } };
}
