import { materialKind, type MaterialKind } from '../../paint/material/index.ts';
import { STAGES, stageCenter, type StageName } from '../../paint/stage/index.ts';
import type { Belief } from '../learn/index.ts';
import { nextAddition, type MatchCup, type NextAddition } from './nextAddition.ts';

/** A target lies above its thinner's own thickness by this factor, or no amount of it would get there. */
const ABOVE_THINNER = 1.05;

/**
 * The next addition that thins a cup to a stage, as its recipe asks for: the same as anywhere else, with the stage as
 * the window in which it counts as there.
 *
 * @returns `undefined` when the cup has no such thinner
 * @throws InputError naming "targetPaS"
 */
export function thinToStage(
  belief: Belief,
  cup: MatchCup,
  thinning: { readonly with: MaterialKind; readonly to: StageName },
): NextAddition | undefined {
  const thinner = cup.ingredients.find(({ material }) => material.kind === thinning.with);
  if (!thinner) return undefined;
  const leastPaS = ABOVE_THINNER * materialKind(thinning.with).viscosityPaS;
  const targetPaS = Math.max(stageCenter(thinning.to), leastPaS);
  const next = nextAddition(belief, cup, targetPaS, { thinnerId: thinner.id, window: bandOf(thinning.to) });
  // What is thinner than the stage already is left as it is: nothing is thickened at the scale.
  return next.kind === 'thicken' ? { kind: 'there', now: next.now } : next;
}

/** The stage from its lower to its upper limit, Pa.s. */
function bandOf(name: StageName) {
  const index = STAGES.findIndex((stage) => stage.name === name);
  return { thinPaS: STAGES[index]?.fromPaS ?? 0, thickPaS: STAGES[index - 1]?.fromPaS ?? Infinity };
}
