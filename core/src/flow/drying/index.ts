export { LAY_OVER_DAYS, TOP_COAT_DAYS, TOUCH_DRY_DAYS } from './practice.ts';
export {
  COAT_HOURS,
  COAT_KINDS,
  LIFE_STAGES,
  isDryTooSoon,
  lifeAt,
  lifeDates,
  type CoatKind,
  type Life,
  type LifeDates,
  type LifeFacts,
  type LifeStage,
  type Span,
} from './life.ts';
export {
  touchDryHours,
  usualDrying,
  waterLeavesSeconds,
  type DryingFilm,
  type DryingHours,
} from './touchDry.ts';

/** Paint-and-water mixes rest this long in a lidded cup, so that the bubbles leave (common practice). */
export const BUBBLE_REST_HOURS = 24;

export { evaporation, sheetDriesSeconds, USUAL_ROOM, type WetSurface } from './evaporation.ts';
