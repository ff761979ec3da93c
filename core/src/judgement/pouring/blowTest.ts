import { airTool, peakShearPa, surfaceSpeedMmS } from '../../flow/air/index.ts';
import { rimHoldsMm } from '../../flow/film/index.ts';

/** What the base tells that is blown alone. */
export interface BlowTestReading {
  /** "right": blow on; "much": let it run; "little": lay more; "thick": the paint is too thick to move. */
  readonly verdict: 'right' | 'much' | 'little' | 'thick';
  /** The film that is left lies between these, mm; no upper end where it still runs over. */
  readonly fromMm: number;
  readonly toMm: number | null;
}

/** Paint that creeps this fast under a dryer "moves easily", mm/s (common practice, an estimate). */
const EASILY_MM_S = 5;

/**
 * What is left of a base that was blown alone with a dryer: it moves when air shears a film as thick as this at 5 mm/s,
 * and nothing runs over the edge any more when the rim holds what is left.
 *
 * Law: u = tau h / mu under the shear of `reach`; `rim` for what stands without running over. Estimates: where the marks
 * of the test lie is common practice.
 *
 * @throws InputError naming the field
 */
export function readBlowTest(
  { moves, runsOver }: { readonly moves: boolean; readonly runsOver: boolean },
  base: { readonly viscosityPaS: number; readonly densityGPerMl: number },
): BlowTestReading {
  const shearPa = peakShearPa(airTool('hair-dryer'));
  const movesFromMm = (EASILY_MM_S * base.viscosityPaS) / surfaceSpeedMmS(shearPa, 1);
  const rimMm = rimHoldsMm(1000 * base.densityGPerMl);
  if (runsOver) {
    return moves
      ? { verdict: 'much', fromMm: rimMm, toMm: null }
      : { verdict: 'thick', fromMm: rimMm, toMm: null };
  }
  if (moves) return { verdict: 'right', fromMm: Math.min(movesFromMm, rimMm), toMm: rimMm };
  // Paint so thick that a film as deep as the rim holds would not move either is not helped by more of it.
  const isThick = movesFromMm >= rimMm || base.viscosityPaS > TOO_THICK_PAS;
  return { verdict: isThick ? 'thick' : 'little', fromMm: 0, toMm: Math.min(movesFromMm, rimMm) };
}

/** The thick end of a Dutch pour. */
const TOO_THICK_PAS = 2.2;
