import type { PieceSummary } from '@icy-ribbon/contract';
import {
  BUBBLE_REST_HOURS,
  TOP_COAT_DAYS,
  TOUCH_DRY_DAYS,
  topCoatReadyMs,
  type DryingHours,
} from '@icy-ribbon/core/flow/drying';
import dayjs from 'dayjs';
import type { RouteLocationRaw } from 'vue-router';

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

/** By the usual waits alone. */
export const usualDrying: DryingOf = ({ technique, drying }) => {
  const { from, to } = TOUCH_DRY_DAYS[technique];
  return drying ?? { hours: 24 * Math.sqrt(from * to), low: 24 * from, high: 24 * to };
};

const HOUR_MS = 3_600_000;
/** A piece counts as waiting for its top coat for this long after it is ready. */
const TOP_COAT_WINDOW_DAYS = 21;
/** Nothing is due of what was poured longer ago. */
export const DUE_FOR_DAYS = TOP_COAT_DAYS.usual + TOP_COAT_WINDOW_DAYS + 1;
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

function drying(piece: PieceSummary, nowMs: number, forecast: DryingHours): DueItem[] {
  if (!piece.pouredAt || piece.phase === 'pouring' || piece.topCoatedAt) return [];
  const pouredMs = Date.parse(piece.pouredAt);
  const { id, name } = piece;
  const to = `/results/${id}`;
  if (!piece.touchDryAt && nowMs < topCoatReadyMs(pouredMs)) {
    const when = (hours: number) => dayjs(pouredMs + hours * HOUR_MS).format('ddd D MMM');
    const [from, until] = [when(forecast.low), when(forecast.high)];
    const what =
      nowMs > pouredMs + forecast.high * HOUR_MS
        ? 'should be touch-dry by now: touch it'
        : `drying: touch-dry ${from === until ? `on ${from}` : `from ${from} to ${until}`}`;
    return [{ id, name, what, to, drying: piece }];
  }
  if (nowMs < topCoatReadyMs(pouredMs)) return [];
  const readyMs = topCoatReadyMs(pouredMs);
  if (nowMs - readyMs > TOP_COAT_WINDOW_DAYS * 24 * HOUR_MS) return [];
  const since = dayjs(readyMs).format('D MMM');
  return [
    {
      id: piece.id,
      name: piece.name,
      what: `usually ready for its top coat since ${since}`,
      to: `/results/${piece.id}`,
      topCoat: piece,
    },
  ];
}
