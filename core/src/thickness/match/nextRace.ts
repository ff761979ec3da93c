import { composition, expected, type Belief } from '../learn/index.ts';
import { RACE_SD_LN } from '../reading/index.ts';
import {
  chanceInside,
  NO_AIMS,
  windowFor,
  type Aims,
  type CupRole,
  type Technique,
} from '../../paint/stage/index.ts';
import type { MatchCup } from './nextAddition.ts';

export interface RaceProposal {
  /** The cups to race, two to six. */
  readonly cupIds: readonly string[];
  /** True when the card should carry a reference liquid too: the cups are known against each other only. */
  readonly withReference: boolean;
  /** Spread of the least known difference now, and after the race, in ln(viscosity). */
  readonly spreadLn: number;
  readonly afterLn: number;
}

const MOST_LANES = 6;
/** A difference known this well needs no race. */
const KNOWN_LN = 0.2;
/** Chances of lying in the window between these leave a cup uncertain. */
const UNSURE = { from: 0.05, to: 0.95 } as const;

/**
 * The race that tells most: the two cups whose difference is least known, and with them every other cup of
 * which it is not clear whether it lies in its window.
 *
 * @returns `undefined` when what matters is known
 */
export function nextRace(
  belief: Belief,
  technique: Technique,
  cups: readonly (MatchCup & { readonly role: CupRole })[],
  aims: Aims = NO_AIMS,
): RaceProposal | undefined {
  const known = cups.map((cup) => ({ cup, ...composition(cup.ingredients, cup.contentsMg) }));
  let widest: { a: string; b: string; sd: number } | undefined;
  for (const [index, one] of known.entries()) {
    for (const other of known.slice(index + 1)) {
      const difference: Record<string, number> = { ...one.weights };
      for (const [name, weight] of Object.entries(other.weights)) {
        difference[name] = (difference[name] ?? 0) - weight;
      }
      const { sd } = expected(belief, difference);
      if (!widest || sd > widest.sd) widest = { a: one.cup.id, b: other.cup.id, sd };
    }
  }
  const unsure = known.filter(({ cup, weights, offset }) => {
    const window = windowFor(technique, cup.role, aims);
    if (!window) return false;
    const { mean, sd } = expected(belief, weights);
    const inside = chanceInside({ viscosityPaS: Math.exp(mean + offset), spreadLn: sd }, window);
    return inside > UNSURE.from && inside < UNSURE.to && sd > KNOWN_LN;
  });
  if (!widest || (widest.sd < KNOWN_LN && unsure.length === 0)) return undefined;
  const wanted = new Set([widest.a, widest.b, ...unsure.map(({ cup }) => cup.id)]);
  return {
    cupIds: cups
      .map((cup) => cup.id)
      .filter((id) => wanted.has(id))
      .slice(0, MOST_LANES),
    withReference: unsure.length > 0,
    spreadLn: widest.sd,
    afterLn: 1 / Math.sqrt(1 / widest.sd ** 2 + 1 / RACE_SD_LN ** 2),
  };
}
