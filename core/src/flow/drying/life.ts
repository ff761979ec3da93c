import type { Technique } from '../../paint/stage/index.ts';
import { LAY_OVER_DAYS, TOP_COAT_DAYS, TOUCH_DRY_DAYS } from './practice.ts';
import type { DryingHours } from './touchDry.ts';

/** How far a poured piece is, in this order. */
export const LIFE_STAGES = [
  'wet',
  'skin',
  'touch-dry',
  'alterable',
  'coatable',
  'curing',
  'finished',
] as const;
export type LifeStage = (typeof LIFE_STAGES)[number];

export const COAT_KINDS = ['varnish', 'resin', 'film'] as const;
export type CoatKind = (typeof COAT_KINDS)[number];

/**
 * Hours until the next coat may come, and until a coat has cured (common practice, no published source: what is on the
 * bottle comes first).
 */
export const COAT_HOURS: Readonly<Record<CoatKind, { readonly next: number; readonly cured: number }>> = {
  varnish: { next: 4, cured: 7 * 24 },
  resin: { next: 24, cured: 3 * 24 },
  film: { next: 4, cured: 24 },
};

/** After this share of the time until it is touch-dry the surface has a skin (an assumption). */
const SKIN_SHARE = 1 / 3;
const HOUR_MS = 3_600_000;
const DAY_MS = 24 * HOUR_MS;

/** What the waits of a piece are worked out from. */
export interface LifeFacts {
  readonly pouredMs: number;
  readonly technique: Technique;
  /** As one's own log corrects it. */
  readonly drying: DryingHours;
  /** When it was found touch-dry; null as long as nobody touched it. */
  readonly touchDryMs: number | null;
  readonly coats: readonly { readonly kind: CoatKind; readonly ms: number }[];
  /** It hangs as it is or got all it shall get. */
  readonly isDone: boolean;
}

/** From and to, ms. */
export interface Span {
  readonly fromMs: number;
  readonly toMs: number;
}

/** The waits of a piece, each as a range. */
export interface LifeDates {
  readonly skin: Span;
  readonly dry: Span;
  readonly alterable: Span;
  readonly coatable: Span;
  /** The next coat may come; null before the first one. */
  readonly nextCoat: number | null;
  /** The last coat has cured; null before the first one. */
  readonly curedMs: number | null;
}

/**
 * When a piece is touch-dry, may be laid over, may get its top coat and has cured.
 *
 * Law: touch-dry as forecast or as found; laid over not before three days; a top coat after about a week, longer or shorter as
 * it dries slower or faster than is usual for its technique, never before three days (common practice, no published source).
 *
 * @example lifeDates({ pouredMs: 0, technique: 'dutch', drying: { hours: 34, low: 24, high: 48 }, touchDryMs: null, coats: [], isDone: false }).coatable // { fromMs: 605849090, toMs: 605849090 }
 */
export function lifeDates({
  pouredMs,
  technique,
  drying,
  touchDryMs,
  coats,
}: Omit<LifeFacts, 'isDone'>): LifeDates {
  const after = (hours: number) => pouredMs + hours * HOUR_MS;
  const dry: Span =
    touchDryMs === null
      ? { fromMs: after(drying.low), toMs: after(drying.high) }
      : { fromMs: touchDryMs, toMs: touchDryMs };
  const notBefore = (ms: number): Span => ({
    fromMs: Math.max(dry.fromMs, ms),
    toMs: Math.max(dry.toMs, ms),
  });
  const { from, to } = TOUCH_DRY_DAYS[technique];
  // What is touch-dry has had its skin.
  const skinned = (hours: number, atLatest: number) => Math.min(after(SKIN_SHARE * hours), atLatest);
  // Whoever touched it late only knows that it was dry by then.
  const found = touchDryMs === null ? drying.hours : Math.min(drying.high, (touchDryMs - pouredMs) / HOUR_MS);
  const slower = found / (24 * Math.sqrt(from * to));
  const last = coats.reduce<LifeFacts['coats'][number] | undefined>(
    (latest, coat) => (latest && latest.ms > coat.ms ? latest : coat),
    undefined,
  );
  return {
    skin: { fromMs: skinned(drying.low, dry.fromMs), toMs: skinned(drying.high, dry.toMs) },
    dry,
    alterable: notBefore(pouredMs + LAY_OVER_DAYS * DAY_MS),
    coatable: notBefore(pouredMs + Math.max(TOP_COAT_DAYS.least, TOP_COAT_DAYS.usual * slower) * DAY_MS),
    nextCoat: last ? last.ms + COAT_HOURS[last.kind].next * HOUR_MS : null,
    curedMs: last ? last.ms + COAT_HOURS[last.kind].cured * HOUR_MS : null,
  };
}

/** Sooner than this share of the shortest that is forecast, it is asked about. */
const BY_FAR = 0.5;

/**
 * Whether a piece is said to be touch-dry so long before its forecast that it may be a slip of the hand.
 *
 * @example isDryTooSoon({ hours: 34, low: 24, high: 48 }, 1) // true
 */
export const isDryTooSoon = ({ low }: DryingHours, hours: number): boolean => hours < BY_FAR * low;

/** How far a piece is at a moment, how much of that stage is over, and when the next one begins. */
export interface Life {
  readonly stage: LifeStage;
  /** 0 when poured, 1 when it may get its top coat; of a coat: 1 when it has cured. */
  readonly share: number;
  readonly next: { readonly stage: LifeStage; readonly when: Span } | null;
}

/**
 * How far a piece is at a moment. It counts as being at a stage when the slow end of its range is over.
 *
 * @example lifeAt({ pouredMs: 0, technique: 'dutch', drying: { hours: 34, low: 24, high: 48 }, touchDryMs: null, coats: [], isDone: false }, 3.6e6).stage // 'wet'
 */
export function lifeAt(facts: LifeFacts, nowMs: number): Life {
  const dates = lifeDates(facts);
  const share = (from: number, to: number) =>
    Math.min(1, Math.max(0, (nowMs - from) / Math.max(1, to - from)));
  if (dates.curedMs !== null) {
    const cured = nowMs >= dates.curedMs;
    const when = { fromMs: dates.curedMs, toMs: dates.curedMs };
    return {
      stage: cured ? 'finished' : 'curing',
      share: share(Math.max(...facts.coats.map(({ ms }) => ms)), dates.curedMs),
      next: cured ? null : { stage: 'finished', when },
    };
  }
  const steps: readonly (readonly [LifeStage, Span])[] = [
    ['skin', dates.skin],
    ['touch-dry', dates.dry],
    ['alterable', dates.alterable],
    ['coatable', dates.coatable],
  ];
  const reached = steps.filter(([, { toMs }]) => nowMs >= toMs);
  const stage = reached.at(-1)?.[0] ?? 'wet';
  if (facts.isDone && nowMs >= dates.dry.toMs) return { stage: 'finished', share: 1, next: null };
  const next = steps.find(([, { toMs }]) => nowMs < toMs);
  return {
    stage,
    share: share(facts.pouredMs, dates.coatable.toMs),
    next: next ? { stage: next[0], when: next[1] } : null,
  };
}
