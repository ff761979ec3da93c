import {
  BUBBLE_REST_HOURS,
  lifeDates,
  type CoatKind,
  type DryingHours,
  type LifeFacts,
  type Span,
} from '../../flow/drying/index.ts';
import type { Technique } from '../../paint/stage/index.ts';
import type { Decision } from './choices.ts';

/** Dates that the work sets, in its order. */
export const DATE_KINDS = ['rested', 'dry', 'alter', 'coat', 'next-coat', 'cured', 'show'] as const;
export type DateKind = (typeof DATE_KINDS)[number];

/** A piece as far as dates follow from it. */
export interface DatedPiece {
  readonly id: string;
  readonly name: string;
  readonly phase: string;
  readonly technique: Technique;
  readonly pouredAt: string | null;
  readonly touchDryAt: string | null;
  readonly mixes: readonly { readonly mixedAt: string | null; readonly restHours: number | null }[];
  readonly care: {
    /** Where it lies on the rack. */
    readonly place?: object | null;
    readonly decision: Decision | null;
    readonly coats: readonly { readonly kind: CoatKind; readonly at: string }[];
    readonly show: { readonly name: string; readonly opensOn: string | null } | null;
    readonly isGone: boolean;
    readonly isDone: boolean;
  };
}

/** Something that is due: in a range of time, or on a day. */
export interface WorkDate {
  /** The same as long as it is the same date, whatever its time becomes. */
  readonly key: string;
  readonly kind: DateKind;
  readonly pieceId: string;
  readonly name: string;
  readonly when: Span;
  /** "2026-03-01" of what is due on a day, not at an hour. */
  readonly day: string | null;
  /** Of a show: its name. */
  readonly note: string;
}

/** What the waits of a poured piece are worked out from; null before it is poured, while it is, and once it is gone. */
export function lifeFacts(piece: DatedPiece, drying: DryingHours): LifeFacts | null {
  const { technique, pouredAt, touchDryAt, care } = piece;
  // Who logs no air lays it on the rack all the same: then it is poured.
  const isPouring = piece.phase === 'pouring' && !care.place;
  if (pouredAt === null || isPouring || care.isGone) return null;
  return {
    technique,
    drying,
    pouredMs: Date.parse(pouredAt),
    touchDryMs: touchDryAt === null ? null : Date.parse(touchDryAt),
    coats: care.coats.map(({ kind, at }) => ({ kind, ms: Date.parse(at) })),
    isDone: care.isDone,
  };
}

const HOUR_MS = 3_600_000;
/** Decisions after which no top coat is waited for. */
const UNCOATED: readonly (Decision | null)[] = ['hang', 'alter', 'pour-over', 'ground', 'crop'];
/** Decisions for which it is laid over again. */
const LAID_OVER: readonly (Decision | null)[] = ['alter', 'pour-over', 'ground'];

/**
 * Everything that is due of a piece, past and to come: cups that have rested, touch-dry, laid over, coats, cures, its show.
 *
 * @param drying the forecast of its drying as one's own log corrects it
 */
export function workDates(piece: DatedPiece, drying: DryingHours): WorkDate[] {
  const { id: pieceId, name, care } = piece;
  const date = (kind: DateKind, when: Span, more: Partial<WorkDate> = {}): WorkDate => ({
    ...{ key: `${kind}-${pieceId}`, kind, pieceId, name, when, day: null, note: '' },
    ...more,
  });
  const at = (ms: number): Span => ({ fromMs: ms, toMs: ms });
  const dates: WorkDate[] = [];
  if (piece.phase === 'mixed') {
    const rested = piece.mixes.flatMap(({ mixedAt, restHours }) =>
      mixedAt === null ? [] : [Date.parse(mixedAt) + (restHours ?? BUBBLE_REST_HOURS) * HOUR_MS],
    );
    if (rested.length > 0) dates.push(date('rested', at(Math.max(...rested))));
  }
  const facts = lifeFacts(piece, drying);
  if (facts) {
    const life = lifeDates(facts);
    if (facts.touchDryMs === null && facts.coats.length === 0) dates.push(date('dry', life.dry));
    if (LAID_OVER.includes(care.decision)) dates.push(date('alter', life.alterable));
    if (facts.coats.length === 0 && !UNCOATED.includes(care.decision) && !care.isDone) {
      dates.push(date('coat', life.coatable));
    }
    const isVarnish = facts.coats.at(-1)?.kind === 'varnish';
    if (life.nextCoat !== null && isVarnish && !care.isDone) {
      dates.push(date('next-coat', at(life.nextCoat), { key: `next-coat-${facts.coats.length}-${pieceId}` }));
    }
    if (life.curedMs !== null) dates.push(date('cured', at(life.curedMs)));
  }
  if (care.show?.opensOn && !care.isGone) {
    const ms = Date.parse(care.show.opensOn);
    dates.push(date('show', at(ms), { day: care.show.opensOn, note: care.show.name }));
  }
  return dates;
}
