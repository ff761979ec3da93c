import { measured, interpret, unreadable, type Calibrated, type Measure } from '../reading/index.ts';
import { beliefOf, expected, observe, withUnknown, forget, type Belief, type Weights } from './belief.ts';
import { composition, priorsOf, type LearnedIngredient } from './composition.ts';

/** A cup as learning sees it. */
export interface LearnCup {
  readonly id: string;
  readonly ingredients: readonly (LearnedIngredient & { readonly id: string })[];
}

/** One reading of thickness, as it is kept. */
export interface ReadingRecord {
  readonly id: string;
  /** Null for the lane of a reference liquid. */
  readonly mixId: string | null;
  readonly raceId: string | null;
  readonly at: string;
  /** What the cup held then. */
  readonly contents: readonly { readonly ingredientId: string; readonly mg: number }[];
  readonly measure: Measure;
  readonly struck: boolean;
}

/** Whether a reading counts: it was not struck out, and something can be read off it. */
export const counts = ({ struck, measure }: Pick<ReadingRecord, 'struck' | 'measure'>): boolean =>
  !struck && unreadable(measure) === undefined;

const MOUND = 'mound';
const raceName = (raceId: string | null) => `race ${raceId}`;
/** Nothing is known of how far a card is tilted or how large the dots are: only ratios count. */
const UNKNOWN_RACE: Calibrated = { ln: 0, sdLn: 30 };

/**
 * What all readings of some cups say of their materials at once. A race teaches the ratios of its cups; a
 * reference liquid or a calibrated card among its lanes ties them to Pa.s. Media that several cups share
 * are learned from all of them.
 *
 * @param cups those that were read; readings of other cups are passed over
 */
export function learn(cups: readonly LearnCup[], readings: readonly ReadingRecord[]): Belief {
  const prior = beliefOf(priorsOf(cups.flatMap((cup) => cup.ingredients)));
  const belief = readings.filter(counts).reduce((so, reading) => take(so, reading, cups), prior);
  const constants = belief.names.filter((name) => name === MOUND || name.startsWith('race '));
  return constants.reduce(forget, belief);
}

function take(belief: Belief, reading: ReadingRecord, cups: readonly LearnCup[]): Belief {
  const { ln, sdLn, constant } = interpret(reading.measure);
  const liquid = reading.measure.kind === 'race' ? reading.measure.liquid : null;
  const held = liquid ? { weights: {}, offset: Math.log(liquid.viscosityPaS) } : heldThen(reading, cups);
  if (!held) return belief;
  const weights: Record<string, number> = { ...held.weights };
  let known = belief;
  if (constant) {
    const name = constant.of === 'mound' ? MOUND : raceName(reading.raceId);
    const { ln: mean, sdLn: sd } = constant.prior ?? UNKNOWN_RACE;
    known = withUnknown(belief, name, mean, sd);
    weights[name] = -1;
  }
  return observe(known, weights, ln - held.offset, Math.hypot(sdLn, liquid?.sdLn ?? 0));
}

/** The cup's composition when it was read; `undefined` when it is not among the cups or was empty. */
function heldThen(
  reading: ReadingRecord,
  cups: readonly LearnCup[],
): { weights: Weights; offset: number } | undefined {
  const cup = cups.find((each) => each.id === reading.mixId);
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

/**
 * What each reading of a cup says by itself; one that nothing can be read off says why. A race lane is tied to Pa.s by the rest of its race: what all
 * the other readings say of the other lanes.
 */
export function evidenceOf(
  mixId: string,
  cups: readonly LearnCup[],
  readings: readonly ReadingRecord[],
): {
  readonly reading: ReadingRecord;
  readonly says: Thickness | undefined;
  readonly because?: string | undefined;
}[] {
  return readings
    .filter((reading) => reading.mixId === mixId)
    .map((reading) => {
      const because = unreadable(reading.measure);
      if (because !== undefined) return { reading, says: undefined, because };
      if (reading.measure.kind !== 'race' || reading.measure.card) {
        const alone = measured(reading.measure);
        return {
          reading,
          says: alone && { viscosityPaS: alone.viscosityPaS, spreadLn: alone.sdLn },
        };
      }
      const cup = cups.find((each) => each.id === mixId);
      const others = cups.filter((each) => each.id !== mixId);
      if (!cup) return { reading, says: undefined };
      return { reading, says: laneSays(reading, others, readings) };
    });
}

function laneSays(
  lane: ReadingRecord,
  others: readonly LearnCup[],
  readings: readonly ReadingRecord[],
): Thickness | undefined {
  const name = raceName(lane.raceId);
  const prior = withUnknown(
    beliefOf(priorsOf(others.flatMap((cup) => cup.ingredients))),
    name,
    UNKNOWN_RACE.ln,
    UNKNOWN_RACE.sdLn,
  );
  const belief = readings
    .filter((reading) => counts(reading) && reading.id !== lane.id)
    .reduce((so, reading) => take(so, reading, others), prior);
  const constant = expected(belief, { [name]: 1 });
  if (constant.sd > UNKNOWN_RACE.sdLn / 2) return undefined;
  const { ln, sdLn } = interpret(lane.measure);
  return { viscosityPaS: Math.exp(ln + constant.mean), spreadLn: Math.hypot(sdLn, constant.sd) };
}
