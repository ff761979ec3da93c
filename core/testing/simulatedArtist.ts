import {
  beliefOf,
  bendName,
  composition,
  observe,
  thicknessName,
  thicknessOf,
  WATER_BEND_SD,
  type Belief,
} from '../src/thickness/learn/index.ts';
import { materialKind } from '../src/paint/material/index.ts';
import { nextAddition, THERE_LN, type MatchCup } from '../src/thickness/match/index.ts';
import { gaussian, type Random } from '../src/base/random/index.ts';
import { RACE_SD_LN } from '../src/thickness/reading/index.ts';

/** How an artist goes about thinning a cup. */
export type Manner = 'advised' | 'fixed 5 %';

export interface Thinned {
  readonly additions: number;
  /** The cup ended thinner than the target by more than a race can tell. */
  readonly overshot: boolean;
  /** How far from the target it truly ended, in ln(viscosity). */
  readonly offLn: number;
}

const TARGET_PAS = 0.56;
const FIXED_SHARE = 0.05;
const MOST_ADDITIONS = 25;
/** How far real paints and media lie from their kind's usual value, in ln(viscosity). */
const PAINT_SPREAD_LN = 0.7;
const MEDIUM_SPREAD_LN = 0.3;
const PRIOR_SD_LN = Math.log(2.5);

/**
 * A simulated artist thins a cup of conditioner and tube paint, 2 to 1, whose true thickness nobody knows,
 * down to the fading stage. After each addition the cup is raced against a reference, with the usual error.
 *
 * @returns `undefined` when the cup was thin enough from the start
 */
export function thinCup(manner: Manner, random: Random): Thinned | undefined {
  const truth = beliefOf(
    [
      { name: thicknessName('medium'), mean: lnOf('flow-conditioner') + MEDIUM_SPREAD_LN * gaussian(random) },
      { name: thicknessName('paint'), mean: lnOf('artist-tube') + PAINT_SPREAD_LN * gaussian(random) },
      { name: bendName('paint'), mean: (WATER_BEND_SD / 2) * gaussian(random) },
    ].map((each) => ({ ...each, sd: 0 })),
  );
  let known = beliefOf([
    { name: thicknessName('medium'), mean: lnOf('flow-conditioner'), sd: PRIOR_SD_LN },
    { name: thicknessName('paint'), mean: lnOf('artist-tube'), sd: PRIOR_SD_LN },
    { name: bendName('paint'), mean: 0, sd: WATER_BEND_SD },
  ]);
  let contentsMg: readonly number[] = [30_000, 15_000, 0];
  const offIn = (belief: Belief) =>
    Math.log(thicknessOf(belief, INGREDIENTS, contentsMg).viscosityPaS / TARGET_PAS);
  if (offIn(truth) <= THERE_LN) return undefined;
  let additions = 0;
  for (; additions < MOST_ADDITIONS; additions += 1) {
    const raced = offIn(truth) + Math.log(TARGET_PAS) + RACE_SD_LN * gaussian(random);
    const { weights, offset } = composition(INGREDIENTS, contentsMg);
    known = observe(known, weights, raced - offset, RACE_SD_LN);
    const waterMg = manner === 'advised' ? advised(known, contentsMg) : fixed(raced, contentsMg);
    if (waterMg === 0) break;
    contentsMg = contentsMg.map((mg, at) => (at === 2 ? mg + waterMg : mg));
  }
  const offLn = offIn(truth);
  return { additions, offLn, overshot: offLn < -THERE_LN };
}

function advised(known: Belief, contentsMg: readonly number[]): number {
  const next = nextAddition(known, { ...CUP, contentsMg }, TARGET_PAS);
  return next.kind === 'thin' ? (next.step[0]?.mg ?? 0) : 0;
}

/** Five percent of what is in the cup each time, until the race says that it is there. */
function fixed(racedLn: number, contentsMg: readonly number[]): number {
  const total = contentsMg.reduce((sum, mg) => sum + mg, 0);
  return racedLn - Math.log(TARGET_PAS) > THERE_LN ? Math.round(FIXED_SHARE * total) : 0;
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

/** Many artists of one manner: how many additions they took, and how often they went too far. */
export function thinMany(
  manner: Manner,
  count: number,
  random: Random,
): { readonly meanAdditions: number; readonly overshotShare: number; readonly rmsOffLn: number } {
  const done: Thinned[] = [];
  while (done.length < count) {
    const one = thinCup(manner, random);
    if (one) done.push(one);
  }
  const mean = (of: (one: Thinned) => number) => done.reduce((sum, one) => sum + of(one), 0) / count;
  return {
    meanAdditions: mean((one) => one.additions),
    overshotShare: mean((one) => Number(one.overshot)),
    rmsOffLn: Math.sqrt(mean((one) => one.offLn ** 2)),
  };
}
