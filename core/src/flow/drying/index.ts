import type { Technique } from '../../paint/stage/index.ts';

const DAY_MS = 86_400_000;

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
export const TOP_COAT_DAYS = { usual: 7, least: 3 } as const;

/** Paint-and-water mixes rest this long in a lidded cup, so that the bubbles leave (common practice). */
export const BUBBLE_REST_HOURS = 24;

export type DryingPhase = 'wet' | 'touch-dry' | 'top-coat';

/**
 * How far a poured piece has dried by the usual waits.
 *
 * @param pouredAtMs, nowMs milliseconds of the same clock
 * @example dryingPhase('dutch', 0, 3600_000) // 'wet'
 */
export function dryingPhase(technique: Technique, pouredAtMs: number, nowMs: number): DryingPhase {
  const days = (nowMs - pouredAtMs) / DAY_MS;
  if (days >= TOP_COAT_DAYS.usual) return 'top-coat';
  return days >= TOUCH_DRY_DAYS[technique].to ? 'touch-dry' : 'wet';
}

/**
 * The moment a piece poured then is usually ready for its top coat, in ms.
 *
 * @example topCoatReadyMs(0) // 604800000
 */
export function topCoatReadyMs(pouredAtMs: number): number {
  return pouredAtMs + TOP_COAT_DAYS.usual * DAY_MS;
}
export { evaporation, sheetDriesSeconds, USUAL_ROOM, type WetSurface } from './evaporation.ts';
