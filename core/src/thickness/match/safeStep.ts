import { normalBelow } from '../../base/statistics/index.ts';

/** Passing the target by more than this share of it is going too far: what is added cannot be taken out again. */
export const TOO_FAR_SHARE = 0.15;
/**
 * The chance of going too far that a step may have: an artist takes two to four of them, and at most 2 of 100 shall
 * have gone too far at the end.
 */
export const MOST_OVERSHOOT = 0.006;
/** A step covers at most this share of the way, in ln(viscosity); from near the target all of it. */
export const MOST_OF_THE_WAY = 0.8;
const NEAR_LN = 0.3;

/** What is expected of ln(viscosity) once so much has been stirred in. */
export type Outlook = (mg: number) => { readonly mean: number; readonly sd: number };

export interface SafeStep {
  readonly mg: number;
  /** Chance that it goes past the target by more than 15 % of it. */
  readonly overshoot: number;
}

/**
 * The largest step on the way to a thickness that is at most 80 % of the way in ln(viscosity), from near all of it, and hardly ever
 * goes too far.
 *
 * Law: bisection on a Gaussian outlook. The two shares are common practice, no published source: paint can be
 * thinned and not thickened again.
 *
 * @param outlook what is known of the cup after an addition; it moves one way
 * @param needMg what reaches the target by the best guess
 * @returns `undefined` when not even the smallest step is safe
 */
export function safeStep(outlook: Outlook, targetLn: number, needMg: number): SafeStep | undefined {
  const start = outlook(0).mean;
  const overshootOf = (mg: number) => chanceTooFar(outlook(mg), targetLn, start > targetLn);
  const left = Math.abs(start - targetLn) < NEAR_LN ? 0 : 1 - MOST_OF_THE_WAY;
  const goal = targetLn + left * (start - targetLn);
  const isShort = (mg: number) => (start > targetLn ? outlook(mg).mean >= goal : outlook(mg).mean <= goal);
  const isSafe = (mg: number) => isShort(mg) && overshootOf(mg) <= MOST_OVERSHOOT;
  if (!isSafe(0)) return undefined;
  let [low, high] = [0, needMg];
  for (let step = 0; step < 40; step += 1) {
    const middle = (low + high) / 2;
    if (isSafe(middle)) low = middle;
    else high = middle;
  }
  return { mg: low, overshoot: overshootOf(low) };
}

/**
 * Chance that a cup lies past its target by more than 15 % of it.
 *
 * @param thins whether it comes from the thick side
 */
export function chanceTooFar({ mean, sd }: ReturnType<Outlook>, targetLn: number, thins: boolean): number {
  return thins
    ? normalBelow(targetLn + Math.log(1 - TOO_FAR_SHARE), mean, sd)
    : 1 - normalBelow(targetLn + Math.log(1 + TOO_FAR_SHARE), mean, sd);
}
