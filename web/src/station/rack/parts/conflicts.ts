import type { PieceSummary } from '@icy-ribbon/contract';
import type { WorkDate } from '@icy-ribbon/core/piece/care';
import { COLD_C } from '#words/coat.ts';

const DAY_MS = 86_400_000;
/** The room of now says something about so many days. */
const ROOM_HOLDS_DAYS = 2;
/** What waits longer for its coat is not about to get it. */
const WAITED_DAYS = 21;

/** What of the coming work does not go together, in words. */
export function rackConflicts({
  dates,
  nowMs,
  roomC,
  warm,
  coming,
  fitsSomewhere,
  crowded,
}: {
  readonly dates: readonly WorkDate[];
  readonly nowMs: number;
  /** Of a sensor in the room; null without one. */
  readonly roomC: number | null;
  /** How warm it shall be, in words. */
  readonly warm: string;
  /** Pieces that are mixed and will be poured next. */
  readonly coming: readonly PieceSummary[];
  readonly fitsSomewhere: (size: PieceSummary['support']) => boolean;
  /** Slots in which more lies than fits, with the names of what lies there. */
  readonly crowded: readonly { readonly slot: string; readonly names: readonly string[] }[];
}): string[] {
  const soon = dates.filter(
    ({ kind, when }) =>
      (kind === 'coat' || kind === 'next-coat') &&
      when.fromMs <= nowMs + ROOM_HOLDS_DAYS * DAY_MS &&
      when.fromMs >= nowMs - WAITED_DAYS * DAY_MS,
  );
  const isCold = roomC !== null && roomC < COLD_C;
  return [
    ...crowded.map(({ slot, names }) => `${names.join(' and ')} do not fit into "${slot}" together.`),
    ...(isCold && soon.length > 0
      ? [
          `A top coat is due (${soon.map(({ name }) => name).join(', ')}), and the room is too cold for it: warm it to ${warm} first.`,
        ]
      : []),
    ...coming
      .filter(({ support }) => !fitsSomewhere(support))
      .map(({ name }) => `No slot is free that "${name}" fits into once it is poured.`),
  ];
}
