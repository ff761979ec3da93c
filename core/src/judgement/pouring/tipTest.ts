import { creepingMm } from '../../flow/film/index.ts';
import { LIMITS } from '../../paint/stage/index.ts';

/** What tipping the support tells of the paint in the middle. */
export interface TipTestReading {
  /** The middle lies about so thick, or at least so thick where it moves, at most where it stands; mm. */
  readonly mm: number;
  /** "spin": there is paint to lose; "enough": it may stay; "ask-again": tip it less, or further, to know. */
  readonly verdict: 'spin' | 'enough' | 'ask-again';
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
