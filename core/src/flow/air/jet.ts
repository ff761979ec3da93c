import { InputError, requirePositive } from '../../base/error/index.ts';
import { GRAVITY_MS2 } from '../film/level.ts';

export const AIR_DENSITY_KG_M3 = 1.204;
/** Speed on the axis of a round turbulent jet falls as this times exit speed and diameter over distance. */
export const DECAY = 6.2;

/** Air out of a blower, as it meets the paint. */
export interface Jet {
  readonly exitSpeedMS: number;
  readonly exitDiameterMm: number;
  /** Along the jet's axis. */
  readonly distanceMm: number;
  /** From the surface: 90 is straight down. */
  readonly slantDeg: number;
}

export interface JetOnPaint {
  readonly speedMS: number;
  readonly pressurePa: number;
  readonly dentMm: number;
}

/**
 * Speed, pressure and dent of an air jet on paint.
 *
 * Law: U = min(U0, 6.2 U0 d/x); P = rho_air U^2 sin^2(slant) / 2; dent = P / (rho g), for a shallow dent.
 * Source: round turbulent jet, Rajaratnam 1976; Hussein, Capp & George 1994 (from memory); 20 °C air.
 *
 * @throws InputError naming the field
 * @example jetOnPaint({ exitSpeedMS: 15, exitDiameterMm: 9, distanceMm: 100, slantDeg: 90, paintDensityKgM3: 1150 })
 * // { speedMS: 8.37, pressurePa: 42.2, dentMm: 3.74 }
 */
export function jetOnPaint(jet: Jet & { readonly paintDensityKgM3: number }): JetOnPaint {
  requirePositive('exitSpeedMS', jet.exitSpeedMS, 'The exit speed');
  requirePositive('exitDiameterMm', jet.exitDiameterMm, 'The exit');
  requirePositive('distanceMm', jet.distanceMm, 'The distance');
  requirePositive('paintDensityKgM3', jet.paintDensityKgM3, 'The density');
  if (!(jet.slantDeg > 0 && jet.slantDeg <= 90)) {
    throw new InputError('slantDeg', 'The slant lies above 0 and at most 90 degrees: 90 is straight down.');
  }
  const speedMS = Math.min(jet.exitSpeedMS, (DECAY * jet.exitSpeedMS * jet.exitDiameterMm) / jet.distanceMm);
  const steep = Math.sin((jet.slantDeg * Math.PI) / 180);
  const pressurePa = 0.5 * AIR_DENSITY_KG_M3 * (speedMS * steep) ** 2;
  return { speedMS, pressurePa, dentMm: (1000 * pressurePa) / (jet.paintDensityKgM3 * GRAVITY_MS2) };
}
