import { requirePositive } from '../../base/error/index.ts';
import { GRAVITY_MS2 } from '../film/level.ts';
import { AIR_DENSITY_KG_M3 } from './jet.ts';

/** Constant of the round jet in Banks & Chandrasekhara; 6 to 8 are found. */
const K = 7;
const ROUNDS = 60;

/**
 * Depth of the hole a straight jet digs when the dent is deep beside the distance.
 *
 * Law: M / (rho g H^3) = (pi / 2 K^2)(n/H)(1 + n/H)^2, M = pi/4 d^2 rho_air U0^2, K = 7.
 * Source: Banks & Chandrasekhara 1963 (from memory). Straight down, far from the exit, paint deep enough.
 *
 * @returns n, mm
 * @throws InputError naming the field
 */
export function deepDentMm(jet: {
  readonly exitSpeedMS: number;
  readonly exitDiameterMm: number;
  readonly distanceMm: number;
  readonly paintDensityKgM3: number;
}): number {
  requirePositive('exitSpeedMS', jet.exitSpeedMS, 'The exit speed');
  requirePositive('exitDiameterMm', jet.exitDiameterMm, 'The exit');
  requirePositive('distanceMm', jet.distanceMm, 'The distance');
  requirePositive('paintDensityKgM3', jet.paintDensityKgM3, 'The density');
  const momentum =
    (Math.PI / 4) * (jet.exitDiameterMm / 1000) ** 2 * AIR_DENSITY_KG_M3 * jet.exitSpeedMS ** 2;
  const height = jet.distanceMm / 1000;
  const wanted = ((momentum / (jet.paintDensityKgM3 * GRAVITY_MS2 * height ** 3)) * 2 * K ** 2) / Math.PI;
  let [low, high] = [0, Math.max(1, Math.cbrt(wanted))];
  for (let round = 0; round < ROUNDS; round += 1) {
    const middle = (low + high) / 2;
    if (middle * (1 + middle) ** 2 < wanted) low = middle;
    else high = middle;
  }
  return 1000 * height * low;
}
