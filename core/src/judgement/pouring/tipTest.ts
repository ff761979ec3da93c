import { creepingMm, creepsFromDeg } from '../../flow/film/index.ts';
import { LIMITS } from '../../paint/stage/index.ts';

/** What tipping the support tells of the paint in the middle. */
export interface TipTestReading {
  /** The middle lies about so thick, or at least so thick where it moves, at most where it stands; mm. */
  readonly mm: number;
  /** "spin": there is paint to lose; "enough": it may stay; "ask-again": tip it less, or further, to know. */
  readonly verdict: 'spin' | 'enough' | 'ask-again';
}

/** Angles at which the test decides: what moves there is to be spun, what stands may stay. */
export interface TipAngles {
  readonly fromDeg: number;
  readonly toDeg: number;
  /** In between: to begin with. */
  readonly usualDeg: number;
}

/**
 * How far to tip a piece for its own paint: from where the thickest middle that may stay creeps to where the thickest film does.
 *
 * Law: `tip-test`, solved for the angle.
 *
 * @throws InputError naming the field
 * @example tipAngles({ viscosityPaS: 3, densityGPerMl: 1.15 }) // { fromDeg: 1.505, toDeg: 4.512, usualDeg: 2.606 }
 */
export function tipAngles(paint: {
  readonly viscosityPaS: number;
  readonly densityGPerMl: number;
}): TipAngles {
  const at = (thicknessMm: number) =>
    creepsFromDeg({ ...paint, thicknessMm, densityKgM3: 1000 * paint.densityGPerMl });
  const [fromDeg, toDeg] = [at(LIMITS.middleMm.thick), at(LIMITS.filmMm.thick)];
  return { fromDeg, toDeg, usualDeg: Math.sqrt(fromDeg * toDeg) };
}

/**
 * Whether the middle has paint to lose: it dries last and cracks first.
 *
 * Law: `tip-test`; how thick a middle may stay is common practice.
 *
 * @throws InputError naming the field
 * @example readTipTest({ tiltDeg: 10, moves: true }, { viscosityPaS: 3, densityGPerMl: 1.15 }).verdict // 'ask-again'
 */
export function readTipTest(
  { tiltDeg, moves }: { readonly tiltDeg: number; readonly moves: boolean },
  paint: { readonly viscosityPaS: number; readonly densityGPerMl: number },
): TipTestReading {
  const mm = creepingMm({
    tiltDeg,
    viscosityPaS: paint.viscosityPaS,
    densityKgM3: 1000 * paint.densityGPerMl,
  });
  if (moves) return { mm, verdict: mm >= LIMITS.filmMm.thick ? 'spin' : 'ask-again' };
  return { mm, verdict: mm <= LIMITS.middleMm.thick ? 'enough' : 'ask-again' };
}
