import dayjs from 'dayjs';
import isoWeek from 'dayjs/plugin/isoWeek.js';

dayjs.extend(isoWeek);

/** When a backup was made. */
export interface Dated {
  readonly name: string;
  readonly madeAt: string;
}

const DAYS = 7;
const WEEKS = 4;
const MONTHS = 12;
/** What was backed up before something was done stays for a while, however many there are. */
const RECENT_HOURS = 48;

/**
 * Which backups stay: all of the last two days, the newest of each of the last 7 days that have one, of each of the
 * last 4 weeks and of each of the last 12 months; and always the newest.
 *
 * A clock that goes back takes nothing away: a backup that seems to come from the future stays.
 */
export function keepers(backups: readonly Dated[], now: Date): Set<string> {
  const newestFirst = [...backups].sort((a, b) => (a.madeAt < b.madeAt ? 1 : a.madeAt > b.madeAt ? -1 : 0));
  const since = now.getTime() - RECENT_HOURS * 3_600_000;
  const kept = new Set(
    newestFirst
      .filter(({ madeAt }, index) => index === 0 || Date.parse(madeAt) >= since)
      .map(({ name }) => name),
  );
  const spans: readonly (readonly [number, (day: dayjs.Dayjs) => string])[] = [
    [DAYS, (day) => day.format('YYYY-MM-DD')],
    [WEEKS, (day) => `${day.isoWeekYear()}-${day.isoWeek()}`],
    [MONTHS, (day) => day.format('YYYY-MM')],
  ];
  for (const [count, nameOf] of spans) {
    const seen = new Set<string>();
    for (const { name, madeAt } of newestFirst) {
      const span = nameOf(dayjs(madeAt));
      if (seen.has(span)) continue;
      if (seen.size === count) break;
      seen.add(span);
      kept.add(name);
    }
  }
  return kept;
}
