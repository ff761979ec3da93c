import { chiSquared } from '../../base/statistics/index.ts';
import { expected, forget, withUnknown, type Belief } from './belief.ts';
import {
  counts,
  learnKeeping,
  observationOf,
  take,
  thicknessOf,
  type LearnCup,
  type Thickness,
} from './learn.ts';
import type { ReadingRecord } from './record.ts';

/** Readings of one cup that cannot all be right. */
export interface Disagreement {
  /** The one that lies farthest from what the others say. */
  readonly reading: ReadingRecord;
  /** What the cup would be without it. */
  readonly without: Thickness;
}

/** Readings scatter this much by chance once in a hundred cups. */
const BY_CHANCE = 0.01;

/**
 * Whether the readings of a cup contradict one another, and which of them stands out.
 *
 * Law: chi-squared of what each reading adds to those before it, the surest first, beyond its 1 % point; the one
 * that stands out is farthest from what all the others foretell, in spreads (standard statistics).
 *
 * @param contentsMg what the cup holds now, for what it would be without that reading
 */
export function disagreement(
  cup: LearnCup,
  cups: readonly LearnCup[],
  readings: readonly ReadingRecord[],
  contentsMg: readonly number[],
): Disagreement | undefined {
  const own = readings.filter((reading) => reading.cupId === cup.id && counts(reading));
  if (own.length < 2) return undefined;
  const byId = new Map(cups.map((each) => [each.id, each]));
  const races = new Set(own.flatMap(({ measure, raceId }) => (measure.kind === 'race' ? [raceId] : [])));
  const without = (left: readonly ReadingRecord[]) =>
    learnKeeping(
      cups,
      readings.filter((reading) => !left.includes(reading)),
      races,
    );
  const surest = [...own].sort((a, b) => sdOf(a, byId) - sdOf(b, byId));
  let belief = without(own);
  let squares = 0;
  surest.forEach((reading, index) => {
    if (index > 0) squares += offOf(belief, reading, byId) ** 2;
    belief = take(belief, reading, byId);
  });
  if (squares <= chiSquared(1 - BY_CHANCE, own.length - 1)) return undefined;
  const [farthest] = surest
    .map((reading) => ({ reading, belief: without([reading]) }))
    .map((each) => ({ ...each, off: Math.abs(offOf(each.belief, each.reading, byId)) }))
    .sort((a, b) => b.off - a.off || sdOf(b.reading, byId) - sdOf(a.reading, byId));
  const rest = [...farthest!.belief.names]
    .filter((name) => !isOfMaterial(name))
    .reduce(forget, farthest!.belief);
  return { reading: farthest!.reading, without: thicknessOf(rest, cup.ingredients, contentsMg) };
}

const isOfMaterial = (name: string): boolean => name.startsWith('thickness ') || name.startsWith('bend ');

const sdOf = (reading: ReadingRecord, cups: ReadonlyMap<string, LearnCup>): number =>
  observationOf(reading, cups)?.sd ?? Infinity;

/** How far a reading lies from what is believed, in spreads; one that only bounds counts when it is broken. */
function offOf(belief: Belief, reading: ReadingRecord, cups: ReadonlyMap<string, LearnCup>): number {
  const seen = observationOf(reading, cups);
  if (!seen) return 0;
  const { shared } = seen;
  const known = shared ? withUnknown(belief, shared.name, shared.prior.ln, shared.prior.sdLn) : belief;
  const { mean, sd } = expected(known, seen.weights);
  const off = (seen.value - mean) / Math.hypot(sd, seen.sd);
  return seen.atMost ? Math.min(0, off) : off;
}
