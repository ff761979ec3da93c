import type { WorkDate } from '@icy-ribbon/core/piece/care';
import dayjs from 'dayjs';

/** A range is shown on each of its days, but no longer than this: a forecast may be wide. */
const MOST_DAYS = 14;

/** What is due by the day it is due on, "2026-03-01" where one is. */
export function datesByDay(dates: readonly WorkDate[]): ReadonlyMap<string, readonly WorkDate[]> {
  const days = new Map<string, WorkDate[]>();
  const put = (day: string, date: WorkDate) => days.set(day, [...(days.get(day) ?? []), date]);
  for (const date of dates) {
    if (date.day !== null) {
      put(date.day, date);
      continue;
    }
    const last = dayjs(date.when.toMs).startOf('day');
    let day = dayjs(date.when.fromMs).startOf('day');
    for (let count = 0; count < MOST_DAYS && !day.isAfter(last); count += 1) {
      put(day.format('YYYY-MM-DD'), date);
      day = day.add(1, 'day');
    }
  }
  return days;
}
