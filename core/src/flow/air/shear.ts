import { requirePositive } from '../../base/error/index.ts';
import { AIR_DENSITY_KG_M3, type Jet } from './jet.ts';

/** Kinematic viscosity of air at 20 °C, m2/s (standard tables, from memory). */
const AIR_NU_M2S = 1.51e-5;
/** The shear is greatest this share of the distance away from the middle (Phares et al., from memory). */
const PEAK_SHARE = 0.09;
/** Paint thins when it is sheared: at this stress it runs twice as fast (an assumption, 2 to 4 Pa). */
const HALF_STRESS_PA = 3;
/** Steps in which a pass is followed. */
const STEPS = 200;

export interface Sheet {
  /** The layers that move, from the bottom up. */
  readonly layers: readonly { readonly thicknessMm: number; readonly viscosityPaS: number }[];
}

/**
 * Greatest shear of a jet on a wall, Pa.
 *
 * Law: tau = 44.6 rho_air U0^2 Re^(-1/2) (H/d)^(-2), for a jet that hits straight. Source: Phares, Smedley &
 * Flagan 2000 (from memory). Holds beyond about 5 exits; nearer it stays what it is there.
 *
 * @throws InputError naming the field
 */
export function peakShearPa(jet: {
  readonly exitSpeedMS: number;
  readonly exitDiameterMm: number;
  readonly distanceMm: number;
}): number {
  requirePositive('exitSpeedMS', jet.exitSpeedMS, 'The exit speed');
  requirePositive('exitDiameterMm', jet.exitDiameterMm, 'The exit');
  requirePositive('distanceMm', jet.distanceMm, 'The distance');
  const reynolds = (jet.exitSpeedMS * jet.exitDiameterMm) / 1000 / AIR_NU_M2S;
  const exits = Math.max(5, jet.distanceMm / jet.exitDiameterMm);
  return (44.6 * AIR_DENSITY_KG_M3 * jet.exitSpeedMS ** 2) / Math.sqrt(reynolds) / exits ** 2;
}

/**
 * Speed of the surface of a stack of films under shear, mm/s: tau sum(h/mu), faster by 1 + tau/3 Pa for paint that thins
 * when it is sheared (an assumption of the film model).
 *
 * @param mobility sum of thickness over viscosity, mm/(Pa s)
 * @example surfaceSpeedMmS(3, 2) // 12
 */
export const surfaceSpeedMmS = (shearPa: number, mobility: number): number =>
  shearPa * mobility * (1 + shearPa / HALF_STRESS_PA);

/**
 * How far one pass carries the top of the paint, mm from where the air lands.
 *
 * Law: the surface of a stack of films under shear tau moves at tau sum(h/mu), faster by 1 + tau/3 Pa for
 * paint that thins when sheared; tau is the peak shear, times sin + cos of the slant ahead of a slanted jet,
 * out to 0.09 of the distance, and falls with the square of the way beyond (wall jet). An estimate: the
 * 3 Pa, the fall-off and the slant are assumptions of the film model, to be corrected by what is recorded.
 *
 * @throws InputError naming the field
 */
export function passReachMm(jet: Jet & { readonly seconds: number }, sheet: Sheet): number {
  requirePositive('seconds', jet.seconds, 'The time');
  requirePositive('slantDeg', jet.slantDeg, 'The slant');
  const slant = (jet.slantDeg * Math.PI) / 180;
  const peak = peakShearPa(jet) * (Math.sin(slant) + Math.cos(slant));
  const near = PEAK_SHARE * jet.distanceMm;
  const mobility = sheet.layers.reduce((sum, layer) => {
    requirePositive('viscosityPaS', layer.viscosityPaS, 'The viscosity');
    return sum + layer.thicknessMm / layer.viscosityPaS;
  }, 0);
  const step = jet.seconds / STEPS;
  let reach = near;
  for (let index = 0; index < STEPS; index += 1) {
    const shear = peak * (near / reach) ** 2;
    reach += surfaceSpeedMmS(shear, mobility) * step;
  }
  return reach;
}
