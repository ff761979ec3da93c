import type { Technique } from '../../paint/stage/index.ts';

/**
 * Waits after a pour, in days. Source: common practice, no published source: the thin film of a Dutch pour or a swipe
 * is touch-dry in 1 to 2 days, a bloom in 2 to 3; ready for a top coat after about a week and never before 3 days.
 */
export const TOUCH_DRY_DAYS = {
  dutch: { from: 1, to: 2 },
  swipe: { from: 1, to: 2 },
  ring: { from: 1, to: 3 },
  'lifted-cup': { from: 1, to: 3 },
  radial: { from: 1, to: 2 },
  bloom: { from: 2, to: 3 },
} as const satisfies Record<Technique, { from: number; to: number }>;

/** Nothing is laid over a piece before so many days (common practice, no published source). */
export const LAY_OVER_DAYS = 3;

/** Ready for a top coat after about a week, never before three days (common practice, no published source). */
export const TOP_COAT_DAYS = { usual: 7, least: 3 } as const;
