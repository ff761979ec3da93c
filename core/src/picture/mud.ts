import type { Ground } from './label.ts';
import { opened } from './raster.ts';
import type { Face } from './rectify.ts';
import { nearestSeed, type Nearest, type Seeds } from './seeds.ts';

const FAR = 0.055;
const LEAST_CHROMA = 0.045;
const OPENED_MM = 0.35;

export interface Mud {
  readonly mask: Uint8Array;
  /** Its usual color, linear RGB; undefined where there is none. */
  readonly rgb: readonly [number, number, number] | undefined;
}

/**
 * Smooth places of hardly any color that are none of the mixes: paint that ran together into mud. A spot
 * must hold a disc of 0.35 mm radius, or a blurred edge between two opposite colors would count.
 */
export function mudOf(face: Face, ground: Ground, seeds: Seeds, glare: Uint8Array): Mud {
  const { width, height, pxPerMm, onFace, rgb } = face;
  const { lab, core } = ground;
  const nearest: Nearest = { seed: 0, squared: 0 };
  const mask = new Uint8Array(width * height);
  for (let pixel = 0; pixel < mask.length; pixel += 1) {
    if (!core[pixel] || glare[pixel] || !onFace[pixel]) continue;
    const at = 3 * pixel;
    const a = lab[at + 1]!;
    const b = lab[at + 2]!;
    if (a * a + b * b >= LEAST_CHROMA * LEAST_CHROMA) continue;
    nearestSeed(seeds, lab[at]!, a, b, nearest);
    if (nearest.squared > FAR * FAR) mask[pixel] = 1;
  }
  if (!mask.includes(1)) return { mask, rgb: undefined };
  const kept = opened(mask, width, height, Math.max(1.5, OPENED_MM * pxPerMm));
  let count = 0;
  const sum = [0, 0, 0];
  for (let pixel = 0; pixel < kept.length; pixel += 1) {
    if (!kept[pixel]) continue;
    count += 1;
    for (let channel = 0; channel < 3; channel += 1) sum[channel]! += rgb[3 * pixel + channel]!;
  }
  if (count === 0) return { mask: kept, rgb: undefined };
  return { mask: kept, rgb: [sum[0]! / count, sum[1]! / count, sum[2]! / count] };
}
