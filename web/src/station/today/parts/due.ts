import type { PieceSummary } from '@icy-ribbon/contract';
import {
  BUBBLE_REST_HOURS,
  TOP_COAT_DAYS,
  TOUCH_DRY_DAYS,
  dryingPhase,
  topCoatReadyMs,
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
}

const HOUR_MS = 3_600_000;
/** A piece counts as waiting for its top coat for this long after it is ready. */
const TOP_COAT_WINDOW_DAYS = 21;
/** Nothing is due of what was poured longer ago. */
export const DUE_FOR_DAYS = TOP_COAT_DAYS.usual + TOP_COAT_WINDOW_DAYS + 1;
/** Cups that stood this long have thickened: look at them again before the pour. */
const STANDING_DAYS = 2;

/** What is due among some pieces at a moment (ms), the most pressing first. */
export function dueFrom(pieces: readonly PieceSummary[], nowMs: number): DueItem[] {
  return [
    ...pieces.flatMap((piece) => waitingCups(piece, nowMs)),
    ...pieces.flatMap((piece) => drying(piece, nowMs)),
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

function drying(piece: PieceSummary, nowMs: number): DueItem[] {
  if (!piece.pouredAt || piece.phase === 'pouring') return [];
  const pouredMs = Date.parse(piece.pouredAt);
  const phase = dryingPhase(piece.technique, pouredMs, nowMs);
  if (phase === 'wet') {
    const { from, to } = TOUCH_DRY_DAYS[piece.technique];
    const what = `drying: usually touch-dry ${from} to ${to} days after the pour`;
    return [{ id: piece.id, name: piece.name, what, to: `/results/${piece.id}` }];
  }
  if (phase === 'touch-dry' || piece.topCoatedAt) return [];
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
