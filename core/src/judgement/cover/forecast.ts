import { InputError } from '../../base/error/index.ts';
import { cupColor } from '../../paint/color/index.ts';
import { coverage } from '../../piece/cover/index.ts';
import { laidMgOf, planOfPour } from '../../piece/event/index.ts';
import { cupPaint } from '../../piece/plan/index.ts';
import { cupStates } from '../../thickness/learn/index.ts';
import type { ComparedPiece } from '../outcome/index.ts';

/** What the forecast says of a pour as it was really done: the share of the face it covers; null where it says nothing. */
export function forecastCovered(piece: ComparedPiece): number | null {
  const { states } = cupStates(piece.mixes, piece.readings, (id) => laidMgOf(piece.events, id));
  const paints = piece.mixes.map((mix, index) =>
    cupPaint(mix, states[index]!.properties, cupColor(mix.ingredients)),
  );
  let made = 0;
  const plan = planOfPour(piece.events, paints, piece.support, () => `done ${(made += 1)}`);
  try {
    return coverage(piece.support, { plan, paints, blowers: [] })?.covered ?? null;
  } catch (error) {
    if (error instanceof InputError) return null;
    throw error;
  }
}
