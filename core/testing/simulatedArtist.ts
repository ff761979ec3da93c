import {
  beliefOf,
  bendName,
  composition,
  expected,
  observe,
  thicknessName,
  WATER_BEND_SD,
  withUnknown,
  type Belief,
} from '../src/thickness/learn/index.ts';
import { materialKind } from '../src/paint/material/index.ts';
import { LIMITS } from '../src/paint/stage/index.ts';
import { nextAddition, TOO_FAR_SHARE, type MatchCup } from '../src/thickness/match/index.ts';
import { gaussian, type Random } from '../src/base/random/index.ts';
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

const TARGET_PAS = 0.56;
const FIXED_SHARE = 0.05;
const MOST_ADDITIONS = 25;
/** A cup that is called unsure is read again, this often in a row. */
const MOST_LOOKS = 3;
/** How far real paints and media lie from their kind's usual value, in ln(viscosity). */
const PAINT_SPREAD_LN = 0.7;
const MEDIUM_SPREAD_LN = 0.3;
/** How much stronger or weaker real paint answers to water than the law has it. */
export const LAW_OFF = 0.3;
const PRIOR_SD_LN = Math.log(2.5);
const WATER_LN = Math.log(materialKind('water').viscosityPaS);

/**
 * A simulated artist thins a cup of conditioner and tube paint, 2 to 1, whose true thickness nobody knows and whose
 * answer to water is off by 30 % one way or the other, down to the fading stage.
 *
 * @returns `undefined` when the cup was thin enough from the start
 */
export function thinCup(manner: Manner, random: Random, readBy: ReadBy = 'race'): Thinned | undefined {
  const dryLn =
    (2 / 3) * (lnOf('flow-conditioner') + MEDIUM_SPREAD_LN * gaussian(random)) +
    (1 / 3) * (lnOf('artist-tube') + PAINT_SPREAD_LN * gaussian(random));
  const answer = 1 + (random() < 0.5 ? -LAW_OFF : LAW_OFF);
  const { sdLn, biasLn } = READ_BY[readBy];
  const bias = biasLn * gaussian(random);
  let contentsMg: readonly number[] = [30_000, 15_000, 0];
  const trueLn = () => {
    const water = contentsMg[2]! / contentsMg.reduce((sum, mg) => sum + mg, 0);
    return dryLn + answer * water * (WATER_LN - dryLn);
  };
  const offLn = () => trueLn() - Math.log(TARGET_PAS);
  if (offLn() <= Math.log(LIMITS.alikeRatio)) return undefined;

  let known = PRIOR;
  let [additions, looks, done] = [0, 0, false];
  while (additions < MOST_ADDITIONS && looks < MOST_LOOKS) {
    const read = trueLn() + bias + sdLn * gaussian(random);
    known = afterReading(known, contentsMg, read, sdLn, biasLn);
    const advice = manner === 'advised' ? advised(known, contentsMg) : fixed(read, contentsMg);
    done = advice === 'there';
    if (done) break;
    looks = advice === 'read' ? looks + 1 : 0;
    if (typeof advice !== 'number') continue;
    contentsMg = contentsMg.map((mg, at) => (at === 2 ? mg + advice : mg));
    additions += 1;
  }
  return {
    ...{ additions, done, offLn: offLn() },
    overshot: offLn() < Math.log(1 - TOO_FAR_SHARE),
    isThere: Math.abs(offLn()) <= Math.log(LIMITS.alikeRatio),
  };
}

const EYE = 'words';

/** What is known of the cup's materials once it was read. */
function afterReading(
  known: Belief,
  contentsMg: readonly number[],
  read: number,
  sdLn: number,
  biasLn: number,
): Belief {
  const { weights, offset } = composition(INGREDIENTS, contentsMg);
  if (biasLn === 0) return observe(known, weights, read - offset, sdLn);
  return observe(withUnknown(known, EYE, 0, biasLn), { ...weights, [EYE]: 1 }, read - offset, sdLn);
}

function advised(known: Belief, contentsMg: readonly number[]): number | 'there' | 'read' {
  const next = nextAddition(known, { ...CUP, contentsMg }, TARGET_PAS);
  if (next.kind === 'thin') return next.step[0]?.mg ?? 0;
  return next.kind === 'there' ? 'there' : 'read';
}

/** Five percent of what is in the cup each time, until the reading says that it is there. */
function fixed(readLn: number, contentsMg: readonly number[]): number | 'there' {
  const total = contentsMg.reduce((sum, mg) => sum + mg, 0);
  return readLn - Math.log(TARGET_PAS) > RACE_SD_LN ? Math.round(FIXED_SHARE * total) : 'there';
}

const lnOf = (kind: 'flow-conditioner' | 'artist-tube'): number => Math.log(materialKind(kind).viscosityPaS);

const part = (
  id: string,
  kind: 'flow-conditioner' | 'artist-tube' | 'water',
  role: string,
  share: number,
) => {
  const { viscosityPaS, densityGPerMl, label } = materialKind(kind);
  return {
    id,
    role,
    share,
    material: { materialId: id, name: label, kind, viscosityPaS, densityGPerMl, viscosityTrust: 'typical' },
  };
};

const CUP = {
  id: 'cup',
  name: 'cup',
  ingredients: [
    part('medium', 'flow-conditioner', 'medium', 2 / 3),
    part('paint', 'artist-tube', 'paint', 1 / 3),
    part('water', 'water', 'water', 0),
  ],
  contentsMg: [],
  capacityMl: 500,
  waterLimit: 0.5,
} as unknown as MatchCup;
const INGREDIENTS = CUP.ingredients;

const PRIOR = beliefOf([
  { name: thicknessName('medium'), mean: lnOf('flow-conditioner'), sd: PRIOR_SD_LN },
  { name: thicknessName('paint'), mean: lnOf('artist-tube'), sd: PRIOR_SD_LN },
  { name: bendName('medium'), mean: 0, sd: WATER_BEND_SD },
  { name: bendName('paint'), mean: 0, sd: WATER_BEND_SD },
]);

/** How sure the artist's bias was left, for tests: undefined when nothing was said in words. */
export const biasSpread = (belief: Belief): number => expected(belief, { [EYE]: 1 }).sd;

export interface ThinnedMany {
  readonly meanAdditions: number;
  readonly overshotShare: number;
  readonly rmsOffLn: number;
  /** Called there within four additions, and truly there. */
  readonly doneInFourShare: number;
  readonly doneShare: number;
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
    doneInFourShare: mean((one) => Number(one.done && one.additions <= 4)),
    doneShare,
    trulyThereShare: mean(({ done, isThere }) => Number(done && isThere)) / Math.max(doneShare, 1e-9),
  };
}
