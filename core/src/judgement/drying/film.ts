import { USUAL_ROOM, type DryingFilm } from '../../flow/drying/index.ts';
import { paintedArea } from '../../piece/support/index.ts';
import type { PourRecord } from '../outcome/index.ts';

/** A record hardly ever says more than 99 %: there nothing would dry at all. */
const MOST_HUMID = 99;

/**
 * What dries of a pour: how thick it lies where most of it does, and in which room. A base that is on the face lies over the
 * sides as well; of a bloom the rest stands in its flowers.
 *
 * @returns null when nothing was logged as laid
 */
export function dryingFilm({
  cups,
  support,
  technique,
  flowersDm2 = 0,
  onFace,
  temperatureC,
  humidityPercent,
  rackRoom,
}: Pick<
  PourRecord,
  'cups' | 'support' | 'technique' | 'flowersDm2' | 'onFace' | 'temperatureC' | 'humidityPercent' | 'rackRoom'
>): DryingFilm | null {
  const laid = cups.filter(({ laidMg }) => laidMg > 0);
  const grams = laid.reduce((sum, { laidMg }) => sum + laidMg / 1000, 0);
  if (grams === 0) return null;
  const { faceCm2, sidesCm2 } = paintedArea(support);
  const flowersCm2 = flowersDm2 > 0 ? Math.min(faceCm2, 100 * flowersDm2) : faceCm2;
  const liesOnFace = (id: string, role: string) => onFace?.includes(id) ?? role === 'base';
  const ml = (of: typeof laid) =>
    of.reduce((sum, { laidMg, densityGPerMl }) => sum + laidMg / 1000 / densityGPerMl, 0);
  const onAll = laid.filter(({ id, role }) => liesOnFace(id, role));
  const inFlowers = laid.filter(({ id, role }) => !liesOnFace(id, role));
  return {
    technique,
    // A milliliter on a square centimeter stands a centimeter high.
    thickMm: 10 * (ml(onAll) / (faceCm2 + sidesCm2) + ml(inFlowers) / flowersCm2),
    densityGPerMl: grams / ml(laid),
    addedWater:
      laid.reduce((sum, { laidMg, waterFraction }) => sum + laidMg * waterFraction, 0) / (1000 * grams),
    room: {
      ...USUAL_ROOM,
      temperatureC: Math.min(
        60,
        Math.max(0, rackRoom?.temperatureC ?? temperatureC ?? USUAL_ROOM.temperatureC),
      ),
      humidityPct: Math.min(
        MOST_HUMID,
        rackRoom?.humidityPercent ?? humidityPercent ?? USUAL_ROOM.humidityPct,
      ),
      airMS: rackRoom?.airMS ?? USUAL_ROOM.airMS,
    },
  };
}
