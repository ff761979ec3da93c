import { InputError } from '../../base/error/index.ts';

/** When a drill was played, and how well. */
export interface Played {
  /** ISO time. */
  readonly at: string;
  /** 0 to 100. */
  readonly score: number;
}

export interface Due {
  /** Days from the last time to the next. */
  readonly everyDays: number;
  /** ISO time; null while it was never played. */
  readonly at: string | null;
  readonly isDue: boolean;
}

const DAY_MS = 86_400_000;
/** From this score on a drill sits, from that on it passes. */
export const SITS = 80;
export const PASSES = 60;
const GROWS_WELL = 2.2;
const GROWS = 1.3;
const MOST_DAYS = 60;

/**
 * When a drill is due again: the better it sits, the longer it may rest; what failed comes back the next day. Played again before half its rest is
 * over, a good score leaves the rest as it is.
 *
 * Law: expanding intervals, 2.2 times from 80 points on and 1.3 times from 60 on, at most 60 days (common practice, no published source for the
 * numbers).
 *
 * @param played in the order of time
 * @param now ISO time
 * @throws InputError naming "played.N.at" for a time that cannot be read
 */
export function dueOf(played: readonly Played[], now: string): Due {
  let [everyDays, last] = [0, 0];
  played.forEach(({ at, score }, index) => {
    const time = Date.parse(at);
    if (Number.isNaN(time)) throw new InputError(`played.${index}.at`, 'This is no time.');
    const isEarly = index > 0 && time - last < 0.5 * everyDays * DAY_MS;
    const grown = score >= SITS ? GROWS_WELL : GROWS;
    if (score < PASSES) everyDays = 1;
    else if (!isEarly) everyDays = index === 0 ? 1 : Math.min(MOST_DAYS, Math.max(1, grown * everyDays));
    last = time;
  });
  if (played.length === 0) return { everyDays: 0, at: null, isDue: true };
  const next = last + everyDays * DAY_MS;
  return { everyDays, at: new Date(next).toISOString(), isDue: next <= Date.parse(now) };
}
