import { interpret, unreadable, type Calibrated } from '../reading/index.ts';
import {
  beliefOf,
  expected,
  forget,
  observe,
  observeBelow,
  withUnknown,
  type Belief,
  type Weights,
} from './belief.ts';
import { handOf } from './hand.ts';
import type { ReadingRecord } from './record.ts';
import { composition, priorsOf, type LearnedIngredient } from './composition.ts';

/** A cup as learning sees it. */
export interface LearnCup {
  readonly id: string;
  readonly ingredients: readonly (LearnedIngredient & { readonly id: string })[];
}

/** Whether a reading counts: it was not struck out, and something can be read off it. */
export const counts = ({ struck, measure }: Pick<ReadingRecord, 'struck' | 'measure'>): boolean =>
  !struck && unreadable(measure) === undefined;

/** What readings share: a race its card and tilt, mounds the hand and the stick, words the eye. */
const sharedName = (of: 'mound' | 'race' | 'words', raceId: string | null): string =>
  of === 'race' ? `race ${raceId}` : of;
/** Nothing is known of how far a card is tilted or how large the dots are: only ratios count. */
const UNKNOWN_RACE: Calibrated = { ln: 0, sdLn: 30 };

/**
 * What all readings of some cups say of their materials at once. A race teaches the ratios of its cups; a
 * reference liquid or a calibrated card among its lanes ties them to Pa.s. Media that several cups share
 * are learned from all of them. What one person's mounds or words have in common is an unknown of its own,
 * which more of them do not average away, and which races and drain cups teach. Readings that were repeated teach how unsure the
 * hand is (`handOf`).
 *
 * @param cups those that were read; readings of other cups are passed over
 */
export function learn(cups: readonly LearnCup[], readings: readonly ReadingRecord[]): Belief {
  return ['mound', 'words'].reduce(forget, learnKeeping(cups, readings));
}

/**
 * The same with what the readings share still in it; a race's own unknown leaves after its last lane, which says the
 * same of the cups and keeps many races cheap, except for races that are asked about.
 */
export function learnKeeping(
  cups: readonly LearnCup[],
  readings: readonly ReadingRecord[],
  keptRaces: ReadonlySet<string | null> = new Set(),
): Belief {
  const byId = new Map(cups.map((cup) => [cup.id, cup]));
  const counting = readings.filter(counts);
  const hand = handOf(counting);
  const lastOfRace = new Map(
    counting.flatMap(({ id, raceId, measure }) => (measure.kind === 'race' ? [[raceId, id] as const] : [])),
  );
  const prior = withShared(beliefOf(priorsOf(cups.flatMap((cup) => cup.ingredients))), counting);
  return counting.reduce((so, reading) => {
    const after = take(so, reading, byId, hand(reading.measure.kind));
    const { id, raceId, measure } = reading;
    const isOver = measure.kind === 'race' && lastOfRace.get(raceId) === id && !keptRaces.has(raceId);
    return isOver ? forget(after, sharedName('race', raceId)) : after;
  }, prior);
}

/** What mounds and words share, as the best of their readings knew it: an eye that was practiced since holds for what it said before. */
function withShared(belief: Belief, readings: readonly ReadingRecord[]): Belief {
  const best = new Map<string, Calibrated>();
  for (const { measure, raceId } of readings) {
    const { constant } = interpret(measure);
    if (!constant?.prior || constant.of === 'race') continue;
    const name = sharedName(constant.of, raceId);
    if (constant.prior.sdLn < (best.get(name)?.sdLn ?? Infinity)) best.set(name, constant.prior);
  }
  return [...best].reduce((so, [name, { ln, sdLn }]) => withUnknown(so, name, ln, sdLn), belief);
}

/** A reading as an observation of the unknowns: `value` = the weighted sum ± `sd`; undefined when its cup is not there. */
export interface Observation {
  readonly weights: Weights;
  readonly value: number;
  readonly sd: number;
  readonly atMost: boolean;
  /** What it shares with others, and what is known of that before. */
  readonly shared: { readonly name: string; readonly prior: Calibrated } | null;
}

export function observationOf(
  reading: ReadingRecord,
  cups: ReadonlyMap<string, LearnCup>,
): Observation | undefined {
  const { ln, sdLn, constant, atMost = false } = interpret(reading.measure);
  const liquid = reading.measure.kind === 'race' ? reading.measure.liquid : null;
  const held = liquid ? { weights: {}, offset: Math.log(liquid.viscosityPaS) } : heldThen(reading, cups);
  if (!held) return undefined;
  const shared = constant && {
    name: sharedName(constant.of, reading.raceId),
    prior: constant.prior ?? UNKNOWN_RACE,
  };
  return {
    weights: shared ? { ...held.weights, [shared.name]: -1 } : held.weights,
    value: ln - held.offset,
    sd: Math.hypot(sdLn, liquid?.sdLn ?? 0),
    atMost,
    shared: shared ?? null,
  };
}

/** The belief after one more reading; unchanged when its cup is not there. */
export function take(
  belief: Belief,
  reading: ReadingRecord,
  cups: ReadonlyMap<string, LearnCup>,
  timesUnsure = 1,
): Belief {
  const seen = observationOf(reading, cups);
  if (!seen) return belief;
  const { weights, value, sd, atMost, shared } = seen;
  const known = shared ? withUnknown(belief, shared.name, shared.prior.ln, shared.prior.sdLn) : belief;
  return (atMost ? observeBelow : observe)(known, weights, value, timesUnsure * sd);
}

/** The cup's composition when it was read; `undefined` when it is not among the cups or was empty. */
function heldThen(
  reading: ReadingRecord,
  cups: ReadonlyMap<string, LearnCup>,
): { weights: Weights; offset: number } | undefined {
  const cup = reading.cupId === null ? undefined : cups.get(reading.cupId);
  if (!cup) return undefined;
  const mg = contentsOf(cup, reading);
  return mg.some((each) => each > 0) ? composition(cup.ingredients, mg) : undefined;
}

/** What the cup held when it was read, in the order of its ingredients. */
export function contentsOf(cup: LearnCup, reading: Pick<ReadingRecord, 'contents'>): number[] {
  return cup.ingredients.map(
    (each) => reading.contents.find((held) => held.ingredientId === each.id)?.mg ?? 0,
  );
}

/** A viscosity with the spread of its logarithm. */
export interface Thickness {
  readonly viscosityPaS: number;
  readonly spreadLn: number;
}

/** How thick a cup is that holds this, by what was learned. */
export function thicknessOf(
  belief: Belief,
  ingredients: readonly LearnedIngredient[],
  contentsMg: readonly number[],
): Thickness {
  const { weights, offset } = composition(ingredients, contentsMg);
  const { mean, sd } = expected(belief, weights);
  return { viscosityPaS: Math.exp(mean + offset), spreadLn: sd };
}
