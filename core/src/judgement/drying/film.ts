import { USUAL_ROOM, type DryingFilm } from '../../flow/drying/index.ts';
import { leftMm } from '../../piece/amount/index.ts';
import { USUAL_SETTINGS } from '../../piece/plan/index.ts';
import { paintedArea } from '../../piece/support/index.ts';
import type { PourRecord } from '../outcome/index.ts';

/** A film as it lies on the rack. */
export interface LyingFilm extends DryingFilm {
  /** Of all that was laid, by mass. */
  readonly viscosityPaS: number;
  /** It lies so in the middle of a flower, and not all over. */
  readonly isMiddle: boolean;
}

/** A record hardly ever says more than 99 %: there nothing would dry at all. */
const MOST_HUMID = 99;

/**
 * What dries of a pour: how thick it lies where most of it does once the spinner stands still, and in which room. A base that is
 * on the face lies over the sides as well, less what runs off; of a bloom the rest stands in its flowers.
 *
 * @returns null when nothing was logged as laid
 */
export function dryingFilm({
  cups,
  support,
  technique,
  flowersDm2 = 0,
  onFace,
  spins,
  asPoured,
  temperatureC,
  humidityPercent,
  rackRoom,
}: Pick<
  PourRecord,
  | 'cups'
  | 'support'
  | 'technique'
  | 'flowersDm2'
  | 'onFace'
  | 'spins'
  | 'asPoured'
  | 'temperatureC'
  | 'humidityPercent'
  | 'rackRoom'
>): LyingFilm | null {
  const laid = cups.filter(({ laidMg }) => laidMg > 0);
  const grams = laid.reduce((sum, { laidMg }) => sum + laidMg / 1000, 0);
  if (grams === 0) return null;
  const { faceCm2, sidesCm2 } = paintedArea(support);
  const flowersCm2 = flowersDm2 > 0 ? Math.min(faceCm2, 100 * flowersDm2) : faceCm2;
  // Without flowers ribbons run into their base, and over the sides with it.
  const liesOnFace = (id: string, role: string) =>
    onFace ? flowersDm2 === 0 || onFace.includes(id) : role === 'base';
  const ml = (of: typeof laid) =>
    of.reduce((sum, { laidMg, densityGPerMl }) => sum + laidMg / 1000 / densityGPerMl, 0);
  const onAll = laid.filter(({ id, role }) => liesOnFace(id, role));
  const inFlowers = laid.filter(({ id, role }) => !liesOnFace(id, role));
  const { dripShare } = asPoured?.settings ?? USUAL_SETTINGS;
  const meanLn = laid.reduce((sum, cup) => sum + cup.laidMg * Math.log(cup.viscosityPaS), 0) / (1000 * grams);
  const densityGPerMl = grams / ml(laid);
  const viscosityPaS = Math.exp(meanLn);
  // A milliliter on a square centimeter stands a centimeter high.
  const thicknessMm =
    10 * ((ml(onAll) * (1 - dripShare)) / (faceCm2 + sidesCm2) + ml(inFlowers) / flowersCm2);
  return {
    technique,
    thickMm: leftMm({ thicknessMm, viscosityPaS, densityKgM3: 1000 * densityGPerMl }, spins),
    viscosityPaS,
    isMiddle: flowersDm2 > 0 && inFlowers.length > 0,
    densityGPerMl,
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
