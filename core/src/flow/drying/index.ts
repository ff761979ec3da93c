export { TOUCH_DRY_DAYS } from './practice.ts';
export { touchDryHours, type DryingFilm, type DryingHours } from './touchDry.ts';

const DAY_MS = 86_400_000;

/** Ready for a top coat after about a week, never before three days (common practice, no published source). */
export const TOP_COAT_DAYS = { usual: 7, least: 3 } as const;

/** Paint-and-water mixes rest this long in a lidded cup, so that the bubbles leave (common practice). */
export const BUBBLE_REST_HOURS = 24;

/**
 * The moment a piece poured then is usually ready for its top coat, in ms.
 *
 * @example topCoatReadyMs(0) // 604800000
 */
export function topCoatReadyMs(pouredAtMs: number): number {
  return pouredAtMs + TOP_COAT_DAYS.usual * DAY_MS;
}
export { evaporation, sheetDriesSeconds, USUAL_ROOM, type WetSurface } from './evaporation.ts';
