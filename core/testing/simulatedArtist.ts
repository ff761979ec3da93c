import { gaussian, type Random } from '../src/base/random/index.ts';
import {
  adviceFor,
  afterReading,
  FRESH_MG,
  hiddenCup,
  KNOWN_BEFORE,
  offTargetLn,
  TARGET_PAS,
  thinned,
  trueLn,
} from '../src/drill/cup/index.ts';
import { LIMITS } from '../src/paint/stage/index.ts';
import { TOO_FAR_SHARE } from '../src/thickness/match/index.ts';
import { RACE_SD_LN } from '../src/thickness/reading/index.ts';

/** How an artist goes about thinning a cup. */
export type Manner = 'advised' | 'fixed 5 %';

/** How the cup is read after each addition: the spread of one reading, and of what all of them have in common. */
export const READ_BY = {
  race: { sdLn: RACE_SD_LN, biasLn: 0 },
  'drain cup': { sdLn: 0.08, biasLn: 0 },
  words: { sdLn: 0.5, biasLn: 0.35 },
} as const;
export type ReadBy = keyof typeof READ_BY;

export interface Thinned {
  readonly additions: number;
  /** The cup ended thinner than the target by more than 15 %. */
  readonly overshot: boolean;
  /** It was called there, or the artist stopped; else it was still to be read. */
  readonly done: boolean;
  /** It truly is as near to the target as cups of one thickness are. */
  readonly isThere: boolean;
  /** How far from the target it truly ended, in ln(viscosity). */
  readonly offLn: number;
}

const FIXED_SHARE = 0.05;
const MOST_ADDITIONS = 25;
/** A cup that is called unsure is read again, this often in a row. */
const MOST_LOOKS = 3;

/**
 * A simulated artist thins a cup of conditioner and tube paint, 2 to 1, whose true thickness nobody knows and whose
 * answer to water is off by 30 % one way or the other, down to the fading stage.
 *
 * @returns `undefined` when the cup was thin enough from the start
 */
export function thinCup(manner: Manner, random: Random, readBy: ReadBy = 'race'): Thinned | undefined {
  const cup = hiddenCup(random);
  const { sdLn, biasLn } = READ_BY[readBy];
  const bias = biasLn * gaussian(random);
  let contentsMg = FRESH_MG;
  if (offTargetLn(cup, contentsMg) <= Math.log(LIMITS.alikeRatio)) return undefined;

  let known = KNOWN_BEFORE;
  let [additions, looks, done] = [0, 0, false];
  while (additions < MOST_ADDITIONS && looks < MOST_LOOKS) {
    const read = trueLn(cup, contentsMg) + bias + sdLn * gaussian(random);
    known = afterReading(known, contentsMg, read, sdLn, biasLn);
    const advice = manner === 'advised' ? adviceFor(known, contentsMg) : fixed(read, contentsMg);
    done = advice === 'there';
    if (done) break;
    looks = advice === 'read' ? looks + 1 : 0;
    if (typeof advice !== 'number') continue;
    contentsMg = thinned(contentsMg, advice);
    additions += 1;
  }
  const offLn = offTargetLn(cup, contentsMg);
  return {
    ...{ additions, done, offLn },
    overshot: offLn < Math.log(1 - TOO_FAR_SHARE),
    isThere: Math.abs(offLn) <= Math.log(LIMITS.alikeRatio),
  };
}

/** Five percent of what is in the cup each time, until the reading says that it is there. */
function fixed(readLn: number, contentsMg: readonly number[]): number | 'there' {
  const total = contentsMg.reduce((sum, mg) => sum + mg, 0);
  return readLn - Math.log(TARGET_PAS) > RACE_SD_LN ? Math.round(FIXED_SHARE * total) : 'there';
}

export interface ThinnedMany {
  readonly meanAdditions: number;
  readonly overshotShare: number;
  readonly rmsOffLn: number;
  /** Called there within five additions. */
  readonly doneInFiveShare: number;
  readonly doneShare: number;
  /** Ended within 15 % of the target. */
  readonly nearShare: number;
  /** Of those called there, how many truly are. */
  readonly trulyThereShare: number;
}

/** Many artists of one manner: how many additions they took, and how often they went too far. */
export function thinMany(
  manner: Manner,
  count: number,
  random: Random,
  readBy: ReadBy = 'race',
): ThinnedMany {
  const all: Thinned[] = [];
  while (all.length < count) {
    const one = thinCup(manner, random, readBy);
    if (one) all.push(one);
  }
  const mean = (of: (one: Thinned) => number) => all.reduce((sum, one) => sum + of(one), 0) / count;
  const doneShare = mean(({ done }) => Number(done));
  return {
    meanAdditions: mean(({ additions }) => additions),
    overshotShare: mean(({ overshot }) => Number(overshot)),
    rmsOffLn: Math.sqrt(mean(({ offLn }) => offLn ** 2)),
    doneInFiveShare: mean((one) => Number(one.done && one.additions <= 5)),
    doneShare,
    nearShare: mean(({ offLn }) => Number(Math.abs(offLn) <= Math.log(1 + TOO_FAR_SHARE))),
    trulyThereShare: mean(({ done, isThere }) => Number(done && isThere)) / Math.max(doneShare, 1e-9),
  };
}
