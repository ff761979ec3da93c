import { LIMITS } from '../../paint/stage/index.ts';
import { TOO_FAR_SHARE } from '../../thickness/match/index.ts';
import { points } from '../schedule/index.ts';
import type { ThinPlay } from './advisedPlay.ts';
import { FRESH_MG } from './hiddenCup.ts';

/** More than this share of the mix at once makes lumps (common practice, no published source). */
export const LUMP_SHARE = 0.25;
/** What lies as far off as that in ln(viscosity) is worth nothing. */
const WORTHLESS_LN = 4 * Math.log(LIMITS.alikeRatio);
/** Points for each addition more than the advice took, for each lump, and for going too far, as shares of all. */
const ADDITION_COSTS = 0.08;
const LUMP_COSTS = 0.15;
const TOO_FAR_COSTS = 0.3;

export interface ThinScore {
  readonly score: number;
  readonly lumps: number;
  /** Thinner than the target by more than 15 %: water cannot be taken out again. */
  readonly isTooFar: boolean;
}

/** How many additions were so large that they left lumps. */
export function lumpsOf(additionsMg: readonly number[]): number {
  let held = FRESH_MG.reduce((sum, mg) => sum + mg, 0);
  return additionsMg.filter((mg) => {
    const isLump = mg > LUMP_SHARE * held;
    held += mg;
    return isLump;
  }).length;
}

/**
 * Points for a thinned cup: all of them when it is as near to its target as cups of one thickness are, with no more additions than the advice's own play
 * and no lump.
 */
export function scoreThinning(play: ThinPlay, advised: ThinPlay): ThinScore {
  const off = Math.max(0, Math.abs(play.offLn) - Math.log(LIMITS.alikeRatio));
  const isTooFar = play.offLn < Math.log(1 - TOO_FAR_SHARE);
  const lumps = lumpsOf(play.additionsMg);
  const more = Math.max(0, play.additionsMg.length - advised.additionsMg.length);
  const lost = ADDITION_COSTS * more + LUMP_COSTS * lumps + (isTooFar ? TOO_FAR_COSTS : 0);
  return { score: points(1 - off / WORTHLESS_LN - lost), lumps, isTooFar };
}
