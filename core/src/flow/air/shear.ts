import { requirePositive } from '../../base/error/index.ts';
import { GRAVITY_MS2 } from '../film/level.ts';
import { rimHoldsMm } from '../film/rim.ts';
import { AIR_DENSITY_KG_M3, DECAY, type Jet } from './jet.ts';

/** Kinematic viscosity of air at 20 °C, m2/s (standard tables, from memory). */
const AIR_NU_M2S = 1.51e-5;
/** Paint thins when it is sheared: at this stress it runs twice as fast (an assumption, 2 to 4 Pa). */
const HALF_STRESS_PA = 3;
/** Paint as it usually is, kg/m3 (common practice). */
const PAINT_DENSITY_KG_M3 = 1150;
/** Beyond so many times that stress it runs no easier (an assumption, as in the film model). */
const MOST_THINNING = 4;
/** Share of the air's momentum that rubs on paint with ripples; a smooth wall's is 0.01 (an assumption of the film model). */
export const RIPPLED_FRICTION = 0.025;
/** What is piled up ahead falls off over so much at least, mm (an assumption). */
const PILE_MM = 10;
/** The way is followed in steps that grow by so much, from a first one to the last there can be, mm: within 1 % of 20,000 steps. */
const GROWTH = 1.02;
const FIRST_MM = 0.25;
const FARTHEST_MM = 10_000;

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
 * Shear of a slanted jet on rippled paint ahead of where its axis lands, Pa.
 *
 * Law: the jet of `jet`, U at the face, half-width b = max(0.1 x, 0.62 d); along the face the air keeps its speed out to 2 b and then
 * falls as 1/r; tau = 0.025 rho U^2 (sin + cos of the slant), as the film model blows. Source: wall jets fall with the 1.0th to 1.15th
 * power of the way (Launder & Rodi 1983, from memory); 1 is taken, so that air from farther away is nowhere stronger.
 *
 * @throws InputError naming the field
 */
export function shearAheadPa(jet: Jet, aheadMm: number): number {
  requirePositive('exitSpeedMS', jet.exitSpeedMS, 'The exit speed');
  requirePositive('exitDiameterMm', jet.exitDiameterMm, 'The exit');
  requirePositive('distanceMm', jet.distanceMm, 'The distance');
  requirePositive('slantDeg', jet.slantDeg, 'The slant');
  const slant = (jet.slantDeg * Math.PI) / 180;
  const core = DECAY * jet.exitDiameterMm;
  const axisMS = jet.exitSpeedMS * Math.min(1, core / jet.distanceMm);
  const speedMS = axisMS * Math.min(1, (2 * halfWidthMm(jet)) / Math.max(1e-9, aheadMm));
  return RIPPLED_FRICTION * AIR_DENSITY_KG_M3 * speedMS ** 2 * (Math.sin(slant) + Math.cos(slant));
}

const halfWidthMm = ({ distanceMm, exitDiameterMm }: Jet): number =>
  0.1 * Math.max(distanceMm, DECAY * exitDiameterMm);

/**
 * Speed of the surface of a stack of films under shear, mm/s: tau sum(h/mu), faster by 1 + tau/3 Pa, at most 5 times, for paint that
 * thins when it is sheared (an assumption of the film model).
 *
 * @param mobility sum of thickness over viscosity, mm/(Pa s)
 * @example surfaceSpeedMmS(3, 2) // 12
 */
export const surfaceSpeedMmS = (shearPa: number, mobility: number): number =>
  shearPa * mobility * (1 + Math.min(MOST_THINNING, shearPa / HALF_STRESS_PA));

/** Air for a while; the hand may follow the paint it pushes, so far in all. */
export interface Blow extends Jet {
  readonly seconds: number;
  readonly followMm?: number;
}

/**
 * How far one pass carries the top of the paint, mm from where the air lands.
 *
 * Law: the surface of a stack of films moves under the shear of `shearAheadPa` at its place; what is piled up ahead runs back under
 * its weight, rho g h^2 / (3 mu) (h / r), h at most what stands at a rim (`rim`) and r at least 10 mm: paint goes on only where the
 * air does more than gravity.
 * An estimate: friction and thinning are assumptions of the film model, to be corrected by what is recorded.
 *
 * @throws InputError naming the field
 */
export function passReachMm(blow: Blow, sheet: Sheet, growth = GROWTH): number {
  requirePositive('seconds', blow.seconds, 'The time');
  const mobility = sheet.layers.reduce((sum, layer) => {
    requirePositive('viscosityPaS', layer.viscosityPaS, 'The viscosity');
    return sum + layer.thicknessMm / layer.viscosityPaS;
  }, 0);
  const thickMm = sheet.layers.reduce((sum, layer) => sum + layer.thicknessMm, 0);
  const frontMm = Math.min(thickMm, rimHoldsMm(PAINT_DENSITY_KG_M3));
  const weightPaMm = (PAINT_DENSITY_KG_M3 * GRAVITY_MS2 * (frontMm / 1000) ** 2 * 1000) / 3;
  const followMmS = (blow.followMm ?? 0) / blow.seconds;
  let [reach, spent] = [0, 0];
  for (let next = FIRST_MM; reach < FARTHEST_MM; next *= growth) {
    const middle = (reach + next) / 2;
    const speed =
      surfaceSpeedMmS(shearAheadPa(blow, middle - followMmS * spent), mobility) -
      (mobility * weightPaMm) / Math.max(middle, PILE_MM);
    if (speed <= 0) return reach;
    const seconds = (next - reach) / speed;
    if (spent + seconds >= blow.seconds) return reach + speed * (blow.seconds - spent);
    spent += seconds;
    reach = next;
  }
  return reach;
}
