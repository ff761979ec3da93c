import type { PieceSummary } from '@icy-ribbon/contract';
import {
  BUBBLE_REST_HOURS,
  TOP_COAT_DAYS,
  usualDrying,
  type DryingHours,
} from '@icy-ribbon/core/flow/drying';
import { workDates, type DateKind } from '@icy-ribbon/core/piece/care';
import dayjs from 'dayjs';
import type { RouteLocationRaw } from 'vue-router';
import { spanWords, untilWords } from '#words/care.ts';

export interface DueItem {
  readonly id: string;
  readonly name: string;
  readonly what: string;
  readonly to: RouteLocationRaw;
  /** The piece whose top coat this is about: it can be ticked off. */
  readonly topCoat?: PieceSummary;
  /** The piece that is drying: it can be said to be touch-dry. */
  readonly drying?: PieceSummary;
}

/** The forecast of a piece's drying as one's own log corrects it. */
export type DryingOf = (piece: PieceSummary) => DryingHours;

const HOUR_MS = 3_600_000;
const DAY_MS = 24 * HOUR_MS;
/** A piece counts as waiting for its top coat for this long after it is ready. */
const TOP_COAT_WINDOW_DAYS = 21;
/** Nothing is due of what was poured longer ago. */
export const DUE_FOR_DAYS = TOP_COAT_DAYS.usual + TOP_COAT_WINDOW_DAYS + 1;
/** What is done is told for so many days, a show so many before it opens. */
const JUST_DAYS = 3;
const SHOW_AHEAD_DAYS = 14;
/** Cups that stood this long have thickened: look at them again before the pour. */
const STANDING_DAYS = 2;

/** What is due among some pieces at a moment (ms), the most pressing first. */
export function dueFrom(
  pieces: readonly PieceSummary[],
  nowMs: number,
  dryingOf: DryingOf = usualDrying,
): DueItem[] {
  return [
    ...pieces.flatMap((piece) => waitingCups(piece, nowMs)),
    ...pieces.flatMap((piece) => drying(piece, nowMs, dryingOf(piece))),
  ];
}

function waitingCups(piece: PieceSummary, nowMs: number): DueItem[] {
  if (piece.phase !== 'mixed') return [];
  const mixedAt = piece.mixes.map((mix) => Date.parse(mix.mixedAt ?? piece.updatedAt));
  const hours = (nowMs - Math.max(...mixedAt)) / HOUR_MS;
  const what =
    hours > STANDING_DAYS * 24
      ? `mixed ${Math.round(hours / 24)} days ago: it has thickened, look again and top up`
      : hours >= BUBBLE_REST_HOURS
        ? 'rested a day, the bubbles are out: pour it'
        : `resting, mixed ${Math.max(1, Math.round(hours))}\u00a0h ago`;
  return [{ id: piece.id, name: piece.name, what, to: `/pour/${piece.id}` }];
}

/** What is due of a poured piece, as the calendar has it; only the nearest. */
function drying(piece: PieceSummary, nowMs: number, forecast: DryingHours): DueItem[] {
  const dates = workDates(piece, forecast);
  const of = (kind: DateKind) => dates.find((date) => date.kind === kind)?.when;
  const { id, name } = piece;
  const row = (what: string, more: Partial<DueItem> = {}): DueItem[] => [
    { id, name, what, to: `/rack/${id}`, ...more },
  ];
  const [dry, coat, nextCoat] = [of('dry'), of('coat'), of('next-coat')];
  if (dry && !(coat && nowMs >= coat.fromMs)) {
    if (nowMs - dry.toMs > DUE_FOR_DAYS * DAY_MS) return [];
    const what =
      nowMs > dry.toMs ? 'should be touch-dry by now: touch it' : `drying: touch-dry ${spanWords(dry)}`;
    return row(what, { drying: piece });
  }
  if (coat && nowMs >= coat.fromMs && nowMs - coat.fromMs <= TOP_COAT_WINDOW_DAYS * DAY_MS) {
    return row(`usually ready for its top coat since ${dayjs(coat.fromMs).format('D MMM')}`, {
      topCoat: piece,
    });
  }
  const alter = of('alter');
  if (alter && nowMs >= alter.fromMs && nowMs - alter.fromMs <= TOP_COAT_WINDOW_DAYS * DAY_MS) {
    return row(`may be laid over since ${dayjs(alter.fromMs).format('D MMM')}`);
  }
  if (nextCoat && nowMs < nextCoat.fromMs + TOP_COAT_WINDOW_DAYS * DAY_MS) {
    return row(`next coat of varnish ${untilWords(nextCoat.fromMs, nowMs)}`);
  }
  const cured = of('cured');
  if (cured && nowMs >= cured.fromMs && nowMs - cured.fromMs <= JUST_DAYS * DAY_MS) {
    return row('its coat has cured');
  }
  const show = dates.find(({ kind }) => kind === 'show');
  if (show && show.when.fromMs >= nowMs - DAY_MS && show.when.fromMs - nowMs <= SHOW_AHEAD_DAYS * DAY_MS) {
    return row(`goes to "${show.note}" ${untilWords(show.when.fromMs, nowMs)}`);
  }
  return [];
}
