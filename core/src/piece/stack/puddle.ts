import { requirePositive } from '../../base/error/index.ts';
import { spreadRadiusMm } from '../../flow/film/index.ts';

export interface Puddle {
  readonly volumeMl: number;
  readonly viscosityPaS: number;
  readonly densityKgM3: number;
  /** Since it was laid. */
  readonly seconds: number;
}

/**
 * How far a puddle has spread and how thick it stands in its middle.
 *
 * Law: Huppert 1982a (from memory): radius as `spread` computes it, profile (1 - s^2)^(1/3) along
 * s = r/R, hence middle thickness = 4 V / (3 pi R^2). Holds for a puddle on a level, wetted face.
 *
 * @returns mm
 * @throws InputError naming the field
 */
export function puddle(input: Puddle): { readonly radiusMm: number; readonly middleMm: number } {
  requirePositive('volumeMl', input.volumeMl, 'The volume');
  const radiusMm = spreadRadiusMm(input);
  return { radiusMm, middleMm: (4 * input.volumeMl * 1000) / (3 * Math.PI * radiusMm ** 2) };
}

/**
 * Thickness of a volume spread evenly over a round footprint, mm.
 *
 * @example evenlyMm(10, 100) // 1.2732
 */
export function evenlyMm(volumeMl: number, footprintMm: number): number {
  requirePositive('footprintMm', footprintMm, 'The footprint');
  return (volumeMl * 1000) / ((Math.PI / 4) * footprintMm ** 2);
}
