const DAY_MS = 86_400_000;

/**
 * Waits after a pour, in days. Source: common practice, no published source: touch-dry in 1 to 3 days,
 * ready for a top coat after about a week and never before 3 days.
 */
export const TOUCH_DRY_DAYS = { from: 1, to: 3 } as const;
export const TOP_COAT_DAYS = { usual: 7, least: 3 } as const;

/** Paint-and-water mixes rest this long in a lidded cup, so that the bubbles leave (common practice). */
export const BUBBLE_REST_HOURS = 24;

export type DryingPhase = 'wet' | 'touch-dry' | 'top-coat';

/**
 * How far a poured piece has dried by the usual waits.
 *
 * @param pouredAtMs, nowMs milliseconds of the same clock
 * @example dryingPhase(0, 3600_000) // 'wet'
 */
export function dryingPhase(pouredAtMs: number, nowMs: number): DryingPhase {
  const days = (nowMs - pouredAtMs) / DAY_MS;
  if (days >= TOP_COAT_DAYS.usual) return 'top-coat';
  return days >= TOUCH_DRY_DAYS.to ? 'touch-dry' : 'wet';
}

/**
 * The moment a piece poured then is usually ready for its top coat, in ms.
 *
 * @example topCoatReadyMs(0) // 604800000
 */
export function topCoatReadyMs(pouredAtMs: number): number {
  return pouredAtMs + TOP_COAT_DAYS.usual * DAY_MS;
}
