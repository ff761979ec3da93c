import { median } from 'simple-statistics';
import { dataOf, eventsOfKind, inForce, type LoggedEvent } from '../../piece/event/index.ts';
import { LIMITS, type Aims } from '../../paint/stage/index.ts';
import type { PourRecord } from '../outcome/index.ts';
import { asked } from '../diagnose/index.ts';

/** Where a pour stands in one respect, and what its own kind had when it went well. */
export interface Standing {
  readonly code: 'air' | 'cells' | 'middle' | 'spin';
  /** "more": go on; "enough": may stop; "too-much": stop. */
  readonly verdict: 'more' | 'enough' | 'too-much';
  /** In the unit of the mark: seconds of air, seconds since the last air, mm in the middle, turns of the spinner. */
  readonly value: number;
  /** What is usual; null where nothing bounds it. */
  readonly from: number | null;
  readonly to: number | null;
  /** The middle of what the last successes had, and how many they were. */
  readonly before: { readonly value: number; readonly n: number } | null;
}

/** What an own pour that went well had. */
export interface Success {
  /** Seconds of air on a square decimeter of face, as supports differ. */
  readonly airSPerDm2: number | null;
  readonly waitSeconds: number | null;
  readonly spinTurns: number | null;
}

export interface SoFarInput {
  /** The pour as far as it is logged. */
  readonly pour: PourRecord;
  readonly log: readonly (LoggedEvent & { readonly at: string })[];
  readonly nowMs: number;
  readonly aims: Aims;
  /** Seconds until the cells open, after the last air; null where nothing opens them by weight. */
  readonly opens: { readonly fromSeconds: number; readonly toSeconds: number } | null;
  /** What the middle keeps, by what was laid and spun; null without a flower. */
  readonly middleMm: number | null;
  /** One's own pours of this technique that went well. */
  readonly successes: readonly Success[];
}

/**
 * Stop or go on? What is logged of a pour so far, held against what is usual, what was aimed at, and what the last successes
 * had.
 *
 * Limits: common practice, no published source; the middle of one's own successes where there are any.
 */
export function soFar(input: SoFarInput): Standing[] {
  if (input.pour.passes.length === 0) return [];
  return [airMark(input), cellsMark(input), middleMark(input), spinMark(input)].filter(
    (mark) => mark !== null,
  );
}

function middleOf(values: readonly number[]): Standing['before'] {
  const told = values.filter((value) => value > 0);
  return told.length === 0 ? null : { value: median(told), n: told.length };
}

function airMark({ pour, successes }: SoFarInput): Standing {
  const { workedDm2, airSeconds, faceDm2 } = asked(pour, { kind: 'not-moving', cupId: null });
  const { least, flowerAim, faceAim, most } = LIMITS.airSPerDm2;
  const aim = pour.technique === 'bloom' ? flowerAim : faceAim;
  const before = middleOf(successes.map(({ airSPerDm2 }) => (airSPerDm2 ?? 0) * faceDm2));
  const [from, to] = [Math.max(least, aim / 2) * workedDm2, most * workedDm2];
  const wanted = before && before.n >= ENOUGH_POURS ? OF_BEFORE * before.value : from;
  return {
    code: 'air',
    verdict: airSeconds > to ? 'too-much' : airSeconds < wanted ? 'more' : 'enough',
    value: airSeconds,
    from: Math.min(wanted, to),
    to,
    before,
  };
}
/** From so many successes on they say what is wanted; so much of their middle is enough. */
const ENOUGH_POURS = 3;
const OF_BEFORE = 0.8;

function cellsMark({ log, nowMs, opens, successes }: SoFarInput): Standing | null {
  const last = eventsOfKind(inForce(log), 'pass').at(-1);
  if (!last) return null;
  const value = Math.max(0, (nowMs - Date.parse(last.at)) / 1000);
  const before = middleOf(successes.map(({ waitSeconds }) => waitSeconds ?? 0));
  const to = opens?.toSeconds ?? before?.value ?? null;
  if (to === null) return null;
  return {
    code: 'cells',
    verdict: value < to ? 'more' : 'enough',
    value,
    from: opens?.fromSeconds ?? null,
    to,
    before,
  };
}

function middleMark({ middleMm, pour }: SoFarInput): Standing | null {
  if (middleMm === null || pour.technique === 'dutch') return null;
  const { thick } = LIMITS.middleMm;
  return {
    code: 'middle',
    verdict: middleMm > thick ? 'more' : middleMm < LIMITS.filmMm.thin ? 'too-much' : 'enough',
    value: middleMm,
    from: LIMITS.filmMm.thin,
    to: thick,
    before: null,
  };
}

function spinMark({ log, successes, pour, aims }: SoFarInput): Standing | null {
  const value = dataOf(inForce(log), 'spin').reduce((sum, { rpm, seconds }) => sum + (rpm * seconds) / 60, 0);
  const before = middleOf(successes.map(({ spinTurns }) => spinTurns ?? 0));
  if (!before || pour.technique === 'dutch') return null;
  const floats = aims.reach === 'floating';
  return {
    code: 'spin',
    verdict: value < OF_BEFORE * before.value ? (floats && value > 0 ? 'enough' : 'more') : 'enough',
    value,
    from: OF_BEFORE * before.value,
    to: null,
    before,
  };
}
