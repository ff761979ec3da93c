import { InputError } from '../../base/error/index.ts';
import { leastSquares } from '../../base/statistics/index.ts';
import { glycerineDensity, glycerineViscosity } from './glycerine.ts';
import type { Calibrated } from './measure.ts';

/** A liquid whose thickness is known: glycerine with water, or any other. */
export type ReferenceLiquid =
  | { readonly kind: 'glycerine'; readonly massFraction: number; readonly temperatureC: number }
  | {
      readonly kind: 'known';
      readonly name: string;
      readonly viscosityPaS: number;
      readonly densityGPerMl: number;
    };

/** How well a reference is known: the formula for glycerine is good to a few percent (from memory). */
export const REFERENCE_SD_LN = 0.04;

export function referenceProperties(liquid: ReferenceLiquid): {
  readonly name: string;
  readonly viscosityPaS: number;
  readonly densityGPerMl: number;
} {
  if (liquid.kind === 'known') return liquid;
  const { massFraction, temperatureC } = liquid;
  return {
    name: `glycerine ${Math.round(massFraction * 100)} %, ${temperatureC.toFixed(0)} °C`,
    viscosityPaS: glycerineViscosity(massFraction, temperatureC),
    densityGPerMl: glycerineDensity(massFraction, temperatureC),
  };
}

export interface CalibrationPoint {
  readonly liquid: ReferenceLiquid;
  readonly seconds: number;
}

/** Spread of a single reading on a card or of a mound, until several readings show it. */
const SINGLE_SD_LN = { card: 0.12, mound: 0.3 } as const;

/**
 * The constant of a card (at its own tilt, dot and line) or of a mound: Pa.s for each second.
 *
 * Law: mean of ln(mu / t) over the reference readings; the spread is what they scatter by, or that of a
 * single reading while there are few, over the root of their number, together with the reference's own.
 *
 * @throws InputError naming "points" or "points.N.seconds"
 */
export function calibrateConstant(what: 'card' | 'mound', points: readonly CalibrationPoint[]): Calibrated {
  requirePoints(points, 1);
  const logs = points.map(({ liquid, seconds }) =>
    Math.log(referenceProperties(liquid).viscosityPaS / seconds),
  );
  const ln = logs.reduce((sum, each) => sum + each, 0) / logs.length;
  const scatter =
    logs.length > 2
      ? Math.sqrt(logs.reduce((sum, each) => sum + (each - ln) ** 2, 0) / (logs.length - 1))
      : 0;
  const single = Math.max(scatter, logs.length > 2 ? SINGLE_SD_LN[what] / 2 : SINGLE_SD_LN[what]);
  return { ln, sdLn: Math.hypot(single / Math.sqrt(logs.length), REFERENCE_SD_LN) };
}

export interface CalibratedCup {
  readonly a: number;
  readonly b: number;
  readonly sdLn: number;
}

/** Readings that are nearer to one another tell nothing of b. */
const APART = 1.02;

/**
 * The formula nu = a t - b / t of a home-made cup with a hole, from reference liquids.
 *
 * Law: least squares of nu / t on 1 and -1/t^2, so that every reading counts by its own size; with one
 * reading, with readings closer than 2 %, or where the fit gives a negative b or flow, b is 0. The form is that of ISO 2431 (from memory).
 *
 * @returns a in mm2/s2, b in mm2, and the spread of ln(nu) that the readings show (at least 0.04)
 * @throws InputError naming "points" or "points.N.seconds"
 */
export function calibrateDrainCup(points: readonly CalibrationPoint[]): CalibratedCup {
  requirePoints(points, 1);
  const readings = points.map(({ liquid, seconds }) => {
    const { viscosityPaS, densityGPerMl } = referenceProperties(liquid);
    return { seconds, nu: (viscosityPaS / densityGPerMl) * 1e3 };
  });
  const times = readings.map((each) => each.seconds);
  const apart = Math.max(...times) / Math.min(...times) >= APART;
  const straight = { a: Math.exp(mean(readings.map(({ nu, seconds }) => Math.log(nu / seconds)))), b: 0 };
  const fitted = apart ? fitCup(readings) : straight;
  const flows = times.every((seconds) => fitted.a * seconds > fitted.b / seconds);
  const { a, b } = fitted.b >= 0 && flows ? fitted : straight;
  const misses = readings.map(({ nu, seconds }) => Math.log(nu / (a * seconds - b / seconds)));
  const freedom = readings.length - (b > 0 ? 2 : 1);
  const scatter = freedom > 0 ? Math.sqrt(misses.reduce((sum, miss) => sum + miss ** 2, 0) / freedom) : 0;
  return { a, b, sdLn: Math.max(REFERENCE_SD_LN, scatter) };
}

function fitCup(readings: readonly { readonly seconds: number; readonly nu: number }[]) {
  const [a = 0, b = 0] = leastSquares(
    readings.map(({ seconds }) => [1, -1 / seconds ** 2]),
    readings.map(({ seconds, nu }) => nu / seconds),
  ).coefficients;
  return { a, b };
}

const mean = (values: readonly number[]): number =>
  values.reduce((sum, value) => sum + value, 0) / values.length;

function requirePoints(points: readonly CalibrationPoint[], least: number): void {
  if (points.length < least) throw new InputError('points', 'Time at least one reference liquid.');
  points.forEach(({ seconds }, index) => {
    if (!(seconds > 0)) throw new InputError(`points.${index}.seconds`, 'Give the seconds, above 0.');
  });
}
