import { DATE_WORDS, pieceSummarySchema, type PieceSummary, type PourNumbers } from '@icy-ribbon/contract';
import { usualDrying } from '@icy-ribbon/core/flow/drying';
import { driedPours, learnDrying } from '@icy-ribbon/core/judgement/drying';
import { workDates, type WorkDate } from '@icy-ribbon/core/piece/care';
import { ICalAlarmType, ICalCalendar, ICalCalendarMethod } from 'ical-generator';
import type { Db } from '../db/open.ts';
import { listPieces } from '../piece/list.ts';
import { listNumbers } from '../result/numbers.queries.ts';

const HOUR_MS = 3_600_000;
const DAY_MS = 24 * HOUR_MS;
/** Dates so long past are of no use on a phone. */
const KEEPS_DAYS = 60;
/** Whatever was poured longer ago is dry and cured. */
const LOOKS_BACK_DAYS = 120;
const PAGE = 200;

/** Every date that the work sets as iCalendar text (RFC 5545): times in UTC, so that no clock change moves them. */
export async function calendarText(db: Db, nowMs: number): Promise<string> {
  const calendar = new ICalCalendar({
    name: 'Icy Ribbon',
    prodId: { company: 'icy-ribbon', product: 'rack', language: 'EN' },
    method: ICalCalendarMethod.PUBLISH,
    ttl: 3600,
  });
  for (const date of await datesOf(db, nowMs)) {
    if (date.when.toMs < nowMs - KEEPS_DAYS * DAY_MS) continue;
    addEvent(calendar, date, nowMs);
  }
  return calendar.toString();
}

function addEvent(
  calendar: ICalCalendar,
  { key, kind, name, when, day, note }: WorkDate,
  nowMs: number,
): void {
  const words = `${name}: ${DATE_WORDS[kind]}${note && ` "${note}"`}`;
  const event = calendar.createEvent({
    id: `${key}@icy-ribbon`,
    summary: words,
    stamp: new Date(nowMs),
    start: new Date(when.fromMs),
    end: new Date(Math.max(when.toMs, when.fromMs + HOUR_MS)),
    allDay: day !== null,
  });
  event.createAlarm({ type: ICalAlarmType.display, trigger: 0, description: words });
}

async function datesOf(db: Db, nowMs: number): Promise<WorkDate[]> {
  const since = new Date(nowMs - LOOKS_BACK_DAYS * DAY_MS).toISOString().slice(0, 10);
  const found = [
    ...(await allPieces(db, { having: 'open' })),
    ...(await allPieces(db, { from: since })),
    ...(await allPieces(db, { having: 'show' })),
  ];
  const pieces = [...new Map(found.map((piece) => [piece.id, piece])).values()];
  const learned = await learnedDrying(db);
  return pieces.flatMap((piece) => workDates(piece, learned(usualDrying(piece), piece.technique)));
}

async function allPieces(
  db: Db,
  filter: { readonly having?: 'open' | 'show'; readonly from?: string },
): Promise<PieceSummary[]> {
  const pieces: PieceSummary[] = [];
  for (let page = 1; ; page += 1) {
    const { items, total } = await listPieces(db, { page, pageSize: PAGE, sort: 'newest', ...filter });
    pieces.push(...items.map((text) => pieceSummarySchema.parse(JSON.parse(text))));
    if (page * PAGE >= total) return pieces;
  }
}

/** How own logs of when pieces were dry correct the forecast. */
async function learnedDrying(db: Db) {
  return learnDrying(driedPours(JSON.parse(await listNumbers(db, undefined)) as PourNumbers[]));
}
