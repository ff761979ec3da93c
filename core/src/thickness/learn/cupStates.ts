import { trustOf } from '../../paint/material/index.ts';
import { cupState, type CupIngredient, type CupRecord, type CupState } from '../../paint/mix/index.ts';
import { counts, learn, thicknessOf } from './learn.ts';
import type { LearnedMaterial } from './composition.ts';
import type { Belief } from './belief.ts';
import type { ReadingRecord } from './record.ts';

/** A cup's record with what learning needs. */
export interface TestedCup extends CupRecord {
  readonly id: string;
  readonly ingredients: readonly (CupIngredient & { readonly material: LearnedMaterial })[];
}

/** A cup's state with its thickness as far as readings tell it. */
export interface TestedState extends CupState {
  /** Readings of this very cup that count. */
  readonly readings: number;
  readonly lastReadAt: string | null;
}

/**
 * The states of a piece's cups together: each thickness is predicted from the mix, and sharpened by the
 * readings of all of them.
 *
 * @param laidMgOf what was laid on the support of a cup so far
 */
export function cupStates(
  cups: readonly TestedCup[],
  readings: readonly ReadingRecord[],
  laidMgOf: (cupId: string) => number,
): { readonly belief: Belief; readonly states: readonly TestedState[] } {
  const belief = learn(cups, readings);
  const states = cups.map((cup): TestedState => {
    const state = cupState(cup, laidMgOf(cup.id));
    const own = readings.filter((reading) => reading.cupId === cup.id && counts(reading));
    const { viscosityPaS, spreadLn } = thicknessOf(belief, cup.ingredients, state.shownIngredientMg);
    return {
      ...state,
      properties: { ...state.properties, viscosityPaS },
      spreadLn,
      trust: own.length > 0 ? trustOf(spreadLn) : state.trust,
      readings: own.length,
      lastReadAt: own.at(-1)?.at ?? null,
    };
  });
  return { belief, states };
}
