import { points } from '../schedule/index.ts';

/** Off by this factor in time is no point when it was too early; too late costs more: paint does not come back. */
const EARLY = 3;
const LATE = 1.8;

/**
 * Points for having stopped in time.
 *
 * @param stopped and @param best seconds, or passes, from the beginning
 * @example scoreStop(9, 10) // 90
 */
export function scoreStop(stopped: number, best: number): number {
  if (stopped <= 0) return 0;
  const late = Math.log(stopped / best);
  return points(1 - Math.abs(late) / Math.log(late > 0 ? LATE : EARLY));
}

/** A flower is as wide as it gets while it covers so much of the most that it ever covers. */
const WIDEST = 0.95;

/** When it was right to stop, in seconds from the beginning. */
export interface Window {
  readonly from: number;
  readonly to: number;
}

/**
 * When a turn should end: while the flower is as wide as it gets, before it runs over the edges and washes out.
 *
 * @param moments share of the face with color on it, in the order of time
 */
export function bestTurn(moments: readonly { readonly seconds: number; readonly covered: number }[]): Window {
  const most = Math.max(...moments.map(({ covered }) => covered));
  const peak = moments.findIndex(({ covered }) => covered === most);
  const isWide = (at: number) => (moments[at]?.covered ?? 0) >= WIDEST * most;
  let [first, last] = [peak, peak];
  while (isWide(first - 1)) first -= 1;
  while (isWide(last + 1)) last += 1;
  const start = moments[0]?.seconds ?? 0;
  return { from: (moments[first]?.seconds ?? 0) - start, to: (moments[last]?.seconds ?? 0) - start };
}

/** Points for having stopped within a time, or near it. */
export const scoreWithin = (stopped: number, { from, to }: Window): number =>
  stopped >= from && stopped <= to && stopped > 0 ? 100 : scoreStop(stopped, stopped < from ? from : to);

/** What a pour was worth after each of its passes. */
export interface AfterPass {
  /** Share of the face that still shows the base, and that is bare. */
  readonly negativeSpace: number;
  readonly bare: number;
  /** Share of the paint that ran off. */
  readonly lost: number;
}

/** What running off and a bare support cost beside missing the open space that was wanted. */
const LOST_COSTS = 2;
const BARE_COSTS = 3;

/**
 * After how many passes it was best: nearest to the open space that was wanted, with least paint lost and no bare support.
 *
 * @param passes what it was before any, then after each
 * @returns how many passes, 1 at least
 */
export function bestPass(passes: readonly AfterPass[], openWanted: number): number {
  const costs = passes.map(
    ({ negativeSpace, bare, lost }) =>
      Math.abs(negativeSpace - openWanted) + LOST_COSTS * lost + BARE_COSTS * bare,
  );
  return Math.max(1, costs.indexOf(Math.min(...costs)));
}
