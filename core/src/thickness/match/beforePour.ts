import { toG } from '../../base/unit/mass.ts';

export interface CupBeforePour {
  readonly id: string;
  readonly name: string;
  readonly mixed: boolean;
  readonly lid: boolean;
  readonly restHours: number | null;
  readonly additions: readonly { readonly ingredientId: string; readonly mg: number; readonly at: string }[];
  readonly movements: readonly { readonly kind: string; readonly mg: number; readonly at: string }[];
  readonly waterId: string | null;
  readonly lastReadAt: string | null;
}

export interface BeforePourNote {
  readonly cupId: string;
  readonly kind: 'untested' | 'aged' | 'evaporated' | 'resting' | 'open' | 'unmixed';
  readonly name: string;
  /** What is to be said of it, without its name. */
  readonly says: string;
  /** What to stir in, if that is what it needs. */
  readonly topUp: { readonly ingredientId: string; readonly mg: number } | null;
}

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
  const note = (kind: BeforePourNote['kind'], says: string, topUp: BeforePourNote['topUp'] = null) => ({
    cupId: cup.id,
    name: cup.name,
    kind,
    says,
    topUp,
  });
  if (!cup.mixed) return [note('unmixed', 'not mixed yet.')];
  const notes: BeforePourNote[] = [];
  const lastAdditionMs = Math.max(...cup.additions.map((each) => Date.parse(each.at)), 0);
  const readMs = cup.lastReadAt === null ? -Infinity : Date.parse(cup.lastReadAt);
  const hours = (nowMs - lastAdditionMs) / HOUR_MS;
  const missingMg = lostMg(cup);
  if (missingMg > 0 && cup.waterId) {
    notes.push(
      note('evaporated', `lost ${toG(missingMg).toFixed(1)} g of water: stir it in again, then test it.`, {
        ingredientId: cup.waterId,
        mg: missingMg,
      }),
    );
  }
  if (cup.restHours !== null && hours < cup.restHours) {
    notes.push(
      note('resting', `resting: ${Math.ceil(cup.restHours - hours)} h more, so that the bubbles leave.`),
    );
  }
  if (!cup.lid && hours > 1) notes.push(note('open', 'no lid on: put one on, weigh it again.'));
  if (readMs < Math.max(dayStartMs, lastAdditionMs)) {
    notes.push(
      cup.lastReadAt === null
        ? note('untested', 'never tested, the thickness is a forecast.')
        : readMs < lastAdditionMs
          ? note('untested', 'not tested since something was stirred in.')
          : note('untested', 'not tested today.'),
    );
  }
  if (hours > AGED_HOURS && missingMg === 0 && readMs < dayStartMs) {
    notes.push(
      note('aged', `stood for ${Math.round(hours / 24)} days: weigh it again, what is missing is water.`),
    );
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
