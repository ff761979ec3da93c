import { requireNotNegative, requirePositive } from '../../base/error/index.ts';
import { GRAVITY_MS2 } from '../film/level.ts';
import { AIR_DENSITY_KG_M3, DECAY, jetOnPaint, type Jet } from './jet.ts';

export interface AirBounds {
  /** At the slant that was asked about; 0 when any distance leaves the film. */
  readonly nearestDistanceMm: number;
  /** At the distance that was asked about. */
  readonly steepestSlantDeg: number;
}

interface Question extends Jet {
  readonly paintDensityKgM3: number;
  /** Paint under the air, mm. */
  readonly depthMm: number;
  /** What shall stay over the support, mm. */
  readonly filmMm: number;
}

/**
 * The nearest distance and the steepest slant that leave a film over the support.
 *
 * Law: the jet law (`jet`) solved for distance and for slant at dent = depth - film.
 *
 * @throws InputError naming the field, also when there is less paint than shall stay
 */
export function airBounds(question: Question): AirBounds {
  const { exitSpeedMS, exitDiameterMm, distanceMm, slantDeg, paintDensityKgM3, depthMm, filmMm } = question;
  requirePositive('depthMm', depthMm, 'The paint under the air');
  requireNotNegative('filmMm', filmMm, 'The film that shall stay');
  jetOnPaint({ exitSpeedMS, exitDiameterMm, distanceMm, slantDeg, paintDensityKgM3 });
  requirePositive('filmMm', depthMm - filmMm, 'The paint above the film that shall stay');
  const pressurePa = (paintDensityKgM3 * GRAVITY_MS2 * (depthMm - filmMm)) / 1000;
  const speedMS = Math.sqrt((2 * pressurePa) / AIR_DENSITY_KG_M3);
  const allowedMS = speedMS / Math.sin((slantDeg * Math.PI) / 180);
  const hereMS = Math.min(exitSpeedMS, (DECAY * exitSpeedMS * exitDiameterMm) / distanceMm);
  return {
    nearestDistanceMm: allowedMS >= exitSpeedMS ? 0 : (DECAY * exitSpeedMS * exitDiameterMm) / allowedMS,
    steepestSlantDeg: speedMS >= hereMS ? 90 : (Math.asin(speedMS / hereMS) * 180) / Math.PI,
  };
}

/** What becomes of the middle under the air; `web/words/air` says it. */
export type Middle = 'bare' | 'skin' | 'dish' | 'dip';

/**
 * What the middle will look like under a dent (common practice, no published source).
 *
 * @param depthMm paint under the air
 * @param dentMm how deep the air digs
 * @param filmMm what shall stay over the support
 * @example middleUnder(4, 5, 1) // 'bare'
 */
export function middleUnder(depthMm: number, dentMm: number, filmMm: number): Middle {
  if (dentMm >= depthMm) return 'bare';
  if (dentMm > depthMm - filmMm) return 'skin';
  return dentMm > depthMm / 2 ? 'dish' : 'dip';
}
