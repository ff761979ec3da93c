import { passReachMm, type Sheet } from './shear.ts';

/** How the air goes: straight out, or with the head or the hand circling. */
export const AIR_WAYS = ['straight', 'circling'] as const;
export type AirWay = (typeof AIR_WAYS)[number];

/** How a pass ends that began nearer and softer. */
export interface PassEnd {
  readonly distanceMm: number;
  readonly setting: string;
}

/**
 * How far a pass carries the top of the paint that ends farther off than it begins, mm.
 *
 * Law: `passReachMm`, the mean of its beginning and its end: an estimate for air that draws back evenly.
 *
 * @throws InputError naming the field
 */
export function breathReachMm(
  jet: Parameters<typeof passReachMm>[0] & { readonly end?: Pick<PassEnd, 'distanceMm'> | null | undefined },
  sheet: Sheet,
): number {
  const near = passReachMm(jet, sheet);
  return jet.end ? (near + passReachMm({ ...jet, distanceMm: jet.end.distanceMm }, sheet)) / 2 : near;
}
