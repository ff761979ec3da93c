/** How the air goes: straight out, or with the head or the hand circling. */
export const AIR_WAYS = ['straight', 'circling'] as const;
export type AirWay = (typeof AIR_WAYS)[number];

/** How a pass ends that began nearer and softer. */
export interface PassEnd {
  readonly distanceMm: number;
  readonly setting: string;
}
