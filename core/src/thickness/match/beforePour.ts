import type { NamedCup } from '../../paint/mix/index.ts';

export interface CupBeforePour extends Omit<NamedCup, 'role'> {
  readonly mixed: boolean;
  readonly lid: boolean;
  readonly restHours: number | null;
  readonly additions: readonly { readonly ingredientId: string; readonly mg: number; readonly at: string }[];
  readonly movements: readonly { readonly kind: string; readonly mg: number; readonly at: string }[];
  readonly waterId: string | null;
  readonly lastReadAt: string | null;
}

/** What each note is about. */
export interface BeforePourFacts {
  readonly unmixed: object;
  /** Water that dried away, in milligrams, and where it is stirred in again. */
  readonly evaporated: { readonly lostMg: number; readonly waterId: string };
  /** Hours more until the bubbles have left. */
  readonly resting: { readonly hours: number };
  /** It has no lid on. */
  readonly open: object;
  readonly 'never-tested': object;
  readonly 'changed-since': object;
  readonly 'not-today': object;
  readonly aged: { readonly days: number };
}

/** Something to look at before the pour; `web/words/beforePour` says it. */
export type BeforePourNote = {
  readonly [Code in keyof BeforePourFacts]: {
    readonly cupId: string;
    readonly name: string;
    readonly code: Code;
    readonly facts: BeforePourFacts[Code];
  };
}[keyof BeforePourFacts];

const HOUR_MS = 3_600_000;
/** A cup that stood this long has lost water even with its lid on (common practice). */
const AGED_HOURS = 48;

/**
 * What to look at again right before a pour: cups that were not tested today, stood long, lost water and
 * did not get it back, still rest, or stand open. Source: common practice, no published source.
 *
 * @param nowMs the time now; @param dayStartMs when today began where the artist is
 */
export function beforePour(
  cups: readonly CupBeforePour[],
  nowMs: number,
  dayStartMs: number,
): BeforePourNote[] {
  return cups.flatMap((cup) => notesOf(cup, nowMs, dayStartMs));
}

function notesOf(cup: CupBeforePour, nowMs: number, dayStartMs: number): BeforePourNote[] {
  const whose = { cupId: cup.id, name: cup.name };
  if (!cup.mixed) return [{ ...whose, code: 'unmixed', facts: {} }];
  const notes: BeforePourNote[] = [];
  const lastAdditionMs = Math.max(...cup.additions.map((each) => Date.parse(each.at)), 0);
  const readMs = cup.lastReadAt === null ? null : Date.parse(cup.lastReadAt);
  const hours = (nowMs - lastAdditionMs) / HOUR_MS;
  const missingMg = lostMg(cup);
  if (missingMg > 0 && cup.waterId) {
    notes.push({ ...whose, code: 'evaporated', facts: { lostMg: missingMg, waterId: cup.waterId } });
  }
  if (cup.restHours !== null && hours < cup.restHours) {
    notes.push({ ...whose, code: 'resting', facts: { hours: Math.ceil(cup.restHours - hours) } });
  }
  if (!cup.lid && hours > 1) notes.push({ ...whose, code: 'open', facts: {} });
  const isFromBefore = readMs === null || readMs < dayStartMs;
  if (readMs === null) notes.push({ ...whose, code: 'never-tested', facts: {} });
  else if (readMs < lastAdditionMs) notes.push({ ...whose, code: 'changed-since', facts: {} });
  else if (isFromBefore) notes.push({ ...whose, code: 'not-today', facts: {} });
  if (hours > AGED_HOURS && missingMg === 0 && isFromBefore) {
    notes.push({ ...whose, code: 'aged', facts: { days: Math.round(hours / 24) } });
  }
  return notes;
}

/** Water that dried away and was not stirred in again. */
function lostMg({ movements, additions, waterId }: CupBeforePour): number {
  const losses = movements.filter((each) => each.kind === 'loss');
  const firstAt = losses[0]?.at;
  if (!firstAt) return 0;
  const lost = losses.reduce((sum, each) => sum + each.mg, 0);
  const back = additions
    .filter((each) => each.ingredientId === waterId && each.at > firstAt)
    .reduce((sum, each) => sum + each.mg, 0);
  return Math.max(0, lost - back);
}
