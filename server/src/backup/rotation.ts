import dayjs from 'dayjs';
import isoWeek from 'dayjs/plugin/isoWeek.js';

dayjs.extend(isoWeek);

/** When a backup was made. */
export interface Dated {
  readonly name: string;
  readonly madeAt: string;
  /** Of its database; photos are shared by all. */
  readonly bytes: number;
}

const DAYS = 7;
const WEEKS = 4;
const MONTHS = 12;
/** What was backed up before something was done stays for a while, however many there are. */
const RECENT_HOURS = 48;
const MOST_RECENT = 24;
const GB = 1024 ** 3;

/** What all backups of a place may weigh: 2 GB, or a quarter of what was free without them where that is less. */
export const mostBackupBytes = (freeBytes: number, backupBytes: number): number =>
  Math.min(2 * GB, (freeBytes + backupBytes) / 4);

/**
 * Which backups stay: the newest; the newest of each of the last 7 days that have one, of each of the last 4 weeks and
 * of each of the last 12 months; and of the last two days the newest 24. Together they weigh no more than `mostBytes`,
 * from the first hour on: what comes later in this row goes first, and within it the older.
 *
 * A clock that goes back takes nothing away: a backup that seems to come from the future stays.
 */
export function keepers(backups: readonly Dated[], now: Date, mostBytes = 2 * GB): Set<string> {
  const newestFirst = [...backups].sort((a, b) => (a.madeAt < b.madeAt ? 1 : a.madeAt > b.madeAt ? -1 : 0));
  const since = now.getTime() - RECENT_HOURS * 3_600_000;
  const future = newestFirst.filter(({ madeAt }) => Date.parse(madeAt) > now.getTime());
  const wanted: Dated[] = [...newestFirst.slice(0, 1), ...future];
  const spans: readonly (readonly [number, (day: dayjs.Dayjs) => string])[] = [
    [DAYS, (day) => day.format('YYYY-MM-DD')],
    [WEEKS, (day) => `${day.isoWeekYear()}-${day.isoWeek()}`],
    [MONTHS, (day) => day.format('YYYY-MM')],
  ];
  for (const [count, nameOf] of spans) {
    const seen = new Set<string>();
    for (const backup of newestFirst) {
      const span = nameOf(dayjs(backup.madeAt));
      if (seen.has(span)) continue;
      if (seen.size === count) break;
      seen.add(span);
      wanted.push(backup);
    }
  }
  wanted.push(...newestFirst.filter(({ madeAt }) => Date.parse(madeAt) >= since).slice(0, MOST_RECENT));
  const kept = new Set<string>();
  let bytes = 0;
  for (const backup of wanted) {
    if (kept.has(backup.name)) continue;
    if (kept.size > 0 && bytes + backup.bytes > mostBytes) break;
    kept.add(backup.name);
    bytes += backup.bytes;
  }
  return kept;
}
