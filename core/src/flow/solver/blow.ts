import { AIR_DENSITY_KG_M3, DECAY, type Jet } from '../air/jet.ts';
import type { FilmFields } from './film.ts';

/** A jet of air on the face. */
export interface FilmAir extends Jet {
  /** Where the air goes, from the top edge clockwise. */
  readonly directionDeg: number;
  /** Where the axis meets the face. */
  readonly xMm: number;
  readonly yMm: number;
}

/** Share of the jet's momentum that rubs on the paint (an assumption of the film model: a smooth wall's). */
export const SMOOTH_FRICTION = 0.01;
/** The wall jet is fastest this many half-widths away from the middle, and this fast against the axis. */
const RIM_AT = 1.2;
const RIM_SPEED = 0.85;

/**
 * Pressure and shear of a jet of air on the face, into the film's fields.
 *
 * Law: p = 1/2 rho U^2 sin^2(slant) exp(-2 ln2 r^2/b^2), b = max(0.1 x, d/2), r from the axis; wall jet U min(1, 0.85 f (1 + cos(slant)
 * cos(phi))), f = 2s/(1 + s^2), s = r/(1.2 b); shear 0.01 rho U^2 sin(slant) outward, and 0.01 rho U^2 cos(slant) along the jet under
 * its footprint; 0.01 is `friction`. Where it meets ridges the slant is that to the paint's own surface: a slope toward the jet takes more
 * pressure and less shear, one that falls away steeper than the jet comes lies in its lee. Source: round jet as in `jetOnPaint`; the friction,
 * the shape of the wall jet and its slant are assumptions of the film model; the slant to the surface is geometry, a jet that is not turned aside
 * before it meets the paint an assumption.
 *
 * @param meetsRidges false: as on a flat face
 */
export function blowOn(
  fields: FilmFields,
  air: FilmAir,
  friction = SMOOTH_FRICTION,
  meetsRidges = false,
): void {
  const { grid, airPressure, thickness, scratch } = fields;
  const [shearX, shearY] = fields.airShear;
  const { stride, cellM, length } = grid;
  const distanceM = air.distanceMm / 1000;
  const exitM = air.exitDiameterMm / 1000;
  const axisSpeed = Math.min(air.exitSpeedMS, (DECAY * air.exitSpeedMS * exitM) / distanceM);
  const width = Math.max(0.1 * distanceM, exitM / 2);
  const slant = (air.slantDeg * Math.PI) / 180;
  const toward = (air.directionDeg * Math.PI) / 180;
  const [steep, flat] = [Math.sin(slant), Math.cos(slant)];
  const [aimX, aimY] = [Math.sin(toward), -Math.cos(toward)];
  const [atX, atY] = [air.xMm / 1000, air.yMm / 1000];
  const pressure = 0.5 * AIR_DENSITY_KG_M3 * axisSpeed ** 2;
  const rub = friction * AIR_DENSITY_KG_M3;
  if (meetsRidges) sumInto(scratch, thickness);
  const slope = (cell: number, off: number) => (scratch[cell + off]! - scratch[cell - off]!) / (2 * cellM);
  for (let cell = 0; cell < length; cell += 1) {
    const x = ((cell % stride) - 1.5) * cellM - atX;
    const y = (Math.floor(cell / stride) - 1.5) * cellM - atY;
    const along = x * aimX + y * aimY;
    const aside = x * -aimY + y * aimX;
    // From the axis: along the jet the footprint is drawn out by its slant.
    const offAxis = ((along * steep) ** 2 + aside ** 2) / width ** 2;
    const near = Math.exp(-Math.LN2 * offAxis);
    let [into, over] = [steep, flat];
    if (meetsRidges && cell >= stride && cell < length - stride) {
      const [riseX, riseY] = [slope(cell, 1), slope(cell, stride)];
      const met = steep + flat * (riseX * aimX + riseY * aimY);
      into = Math.max(0, met) / Math.sqrt(1 + riseX * riseX + riseY * riseY);
      over = met > 0 ? Math.sqrt(1 - into * into) : 0;
    }
    airPressure[cell] = pressure * into * into * near * near;
    const away = Math.hypot(x, y) + 1e-9;
    const s = away / (RIM_AT * width);
    const spread = ((2 * s) / (1 + s * s)) * RIM_SPEED * (1 + (flat * along) / away);
    const wall = Math.min(1, spread) * axisSpeed;
    const direct = near * axisSpeed;
    const outward = (rub * wall * wall * steep) / away;
    const onward = rub * direct * direct * over;
    shearX[cell] = outward * x + onward * aimX;
    shearY[cell] = outward * y + onward * aimY;
  }
}

function sumInto(sum: Float64Array, thickness: readonly Float64Array[]): void {
  sum.fill(0);
  for (const field of thickness) {
    for (let cell = 0; cell < sum.length; cell += 1) sum[cell]! += field[cell]!;
  }
}

/** Takes the air away. */
export function calm(fields: FilmFields): void {
  fields.airPressure.fill(0);
  fields.airShear[0].fill(0);
  fields.airShear[1].fill(0);
}
