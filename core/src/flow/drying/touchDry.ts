import type { Technique } from '../../paint/stage/index.ts';
import { evaporation, USUAL_ROOM, WATER_SHARE, type WetSurface } from './evaporation.ts';
import { TOUCH_DRY_DAYS } from './practice.ts';

/** What lies on a support and dries, in its room. */
export interface DryingFilm {
  readonly technique: Technique;
  /** Where most of it lies. */
  readonly thickMm: number;
  readonly densityGPerMl: number;
  /** Water that was stirred in, as a mass fraction; what is in the paint itself is added. */
  readonly addedWater: number;
  readonly room?: Pick<WetSurface, 'temperatureC' | 'humidityPct' | 'airMS'> | undefined;
}

export interface DryingHours {
  readonly hours: number;
  readonly low: number;
  readonly high: number;
}

/** Seconds in which the water where most of the paint lies leaves, and how fast it goes from a square meter. */
function leaving({ thickMm, densityGPerMl, addedWater }: DryingFilm, room: NonNullable<DryingFilm['room']>) {
  const waterShare = addedWater + (1 - addedWater) * WATER_SHARE;
  return evaporation({ areaM2: 1, waterG: 1000 * thickMm * densityGPerMl * waterShare, ...room });
}

/**
 * Seconds in which the water of a film leaves in its room.
 *
 * @throws InputError naming the field; at 100 % humidity nothing dries
 * @example waterLeavesSeconds({ technique: 'dutch', thickMm: 0.6, densityGPerMl: 1.1, addedWater: 0.2 }) // 10609
 */
export const waterLeavesSeconds = (film: DryingFilm): number =>
  leaving(film, film.room ?? USUAL_ROOM).seconds;

const HOURS = 24;
/** However damp or warm the room, the usual wait is stretched or shortened no further than this. */
const ROOM_FACTOR = { least: 0.5, most: 4 } as const;

/**
 * Hours until a pour is touch-dry, before anything was learned of one's own: the longer of the time in which its water can
 * leave, below which it never is, and of the usual wait, which goes with how fast water leaves in that room.
 *
 * Law: `evaporation` of the water where most paint lies; usual waits are common practice, no published source.
 *
 * @throws InputError naming the field; at 100 % humidity nothing dries
 * @example touchDryHours({ technique: 'dutch', thickMm: 0.6, densityGPerMl: 1.1, addedWater: 0.2 }) // { hours: 33.94, low: 24, high: 48 }
 */
export function touchDryHours(film: DryingFilm): DryingHours {
  const here = leaving(film, film.room ?? USUAL_ROOM);
  const usual = leaving(film, USUAL_ROOM);
  const slower = usual.gramsPerHour / here.gramsPerHour;
  const factor = Math.min(ROOM_FACTOR.most, Math.max(ROOM_FACTOR.least, slower));
  const { from, to } = TOUCH_DRY_DAYS[film.technique];
  const practice = HOURS * Math.sqrt(from * to) * factor;
  const hours = Math.max(practice, here.seconds / 3600);
  const range = Math.sqrt(to / from);
  return { hours, low: Math.max(hours / range, here.seconds / 3600), high: hours * range };
}

/**
 * The forecast of a piece's drying, or the usual wait of its technique where none could be made.
 *
 * @example usualDrying({ technique: 'dutch', drying: null }) // { hours: 33.94, low: 24, high: 48 }
 */
export function usualDrying({
  technique,
  drying,
}: {
  readonly technique: Technique;
  readonly drying: DryingHours | null;
}): DryingHours {
  const { from, to } = TOUCH_DRY_DAYS[technique];
  return drying ?? { hours: HOURS * Math.sqrt(from * to), low: HOURS * from, high: HOURS * to };
}
