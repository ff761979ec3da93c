import { mean, peaksOf, smoothRing, swing } from './ring.ts';

/** Directions that are looked at, round the circle. */
export const DIRECTIONS = 180;
const FEWEST = 3;
const MOST = 12;
/** Weaker than this, nothing swings: a disc or a ring. */
const FLAT = 0.15;
/** A peak of color rises by this share of the mean, over their number, above both valleys: few petals leave deep ones. */
const LEAST_RISE = 0.45;
/** The count swings so much more strongly than one more, one less and any other that has as many peaks. */
const CLEARLY = 1.25;
/** A flower on a long support is drawn out: then it swings twice round, at most so much more strongly. */
const DRAWN_OUT = 2;
/** Smoothed over this part of a petal's breadth. */
const PART = 1 / 7;

/** How many petals there are and the direction of each; `null` if there is no clear number. */
export interface Lobes {
  readonly count: number | null;
  readonly peaks: readonly number[];
}

const UNTOLD: Lobes = { count: null, peaks: [] };

/**
 * Counts petals in two terms that must agree: the color in each direction swings so many times round the middle, and it
 * has so many peaks when it is smoothed to the breadth of so many petals; of several such numbers the clearest counts.
 *
 * @param amount color in each of `DIRECTIONS` directions, by area
 */
export function lobesOf(amount: readonly number[]): Lobes {
  if (mean(amount) === 0) return { count: 0, peaks: [] };
  const counts = Array.from({ length: MOST - FEWEST + 1 }, (_, index) => FEWEST + index);
  const swings = new Map([2, ...counts].map((count) => [count, swing(amount, count)]));
  const of = (count: number) => swings.get(count)!;
  if (Math.max(...counts.map(of)) < FLAT) return { count: 0, peaks: [] };
  const told = counts
    .map((count) => ({ count, peaks: peaksAt(amount, count) }))
    .filter(
      ({ count, peaks }) => peaks.length === count && of(count) >= FLAT && of(count) * DRAWN_OUT >= of(2),
    )
    .sort((a, b) => of(b.count) - of(a.count));
  const [best, next] = told;
  if (!best) return UNTOLD;
  const others = counts.filter((count) => count % best.count !== 0);
  const rivals = others.filter((count) => Math.abs(count - best.count) === 1 || count === next?.count);
  const clearly = of(best.count) >= CLEARLY * Math.max(0, ...rivals.map(of));
  return clearly && of(best.count) >= Math.max(0, ...others.map(of)) ? best : UNTOLD;
}

/** The peaks of color, smoothed to the breadth that petals have when there are so many. */
function peaksAt(amount: readonly number[], count: number): number[] {
  const smooth = smoothRing(amount, (DIRECTIONS / count) * PART);
  return peaksOf(smooth, (LEAST_RISE / count) * mean(smooth));
}
