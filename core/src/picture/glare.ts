import { componentsOf } from './components.ts';
import type { Ground } from './label.ts';
import { grown } from './raster.ts';
import type { Face } from './rectify.ts';
import { nearestSeed, type Nearest, type Seeds } from './seeds.ts';

const GROWN_MM = 1;
/** A highlight fades over a part of its own radius. */
const FADES = 0.6;
const MOST_FADED_MM = 5;
const HALO_MM = 7;
const OFF_PALETTE = 0.045;

/**
 * Where light shines back: pixels that were full, grown by 1 mm or as far as a large highlight fades, and the pale halo around them as far as
 * it leaves the palette. What lies there was not seen, so it counts for nothing.
 */
export function glareOf(face: Face, ground: Ground, seeds: Seeds): Uint8Array {
  const { width, height, pxPerMm, clipped } = face;
  if (!clipped.includes(1)) return new Uint8Array(width * height);
  const mask = faded(face);
  const reach = grown(clipped, width, height, HALO_MM * pxPerMm);
  const nearest: Nearest = { seed: 0, squared: 0 };
  const pale = (pixel: number): boolean => {
    const at = 3 * pixel;
    nearestSeed(seeds, ground.lab[at]!, ground.lab[at + 1]!, ground.lab[at + 2]!, nearest);
    if (nearest.squared < OFF_PALETTE * OFF_PALETTE) return false;
    return ground.core[pixel] === 1 && ground.lab[at]! > seeds.lab[3 * nearest.seed]! + 0.02;
  };
  const queue: number[] = [];
  for (let pixel = 0; pixel < mask.length; pixel += 1) if (mask[pixel]) queue.push(pixel);
  const halo = Uint8Array.from(mask);
  while (queue.length > 0) {
    const pixel = queue.pop()!;
    const x = pixel % width;
    for (const next of [
      x > 0 ? pixel - 1 : -1,
      x < width - 1 ? pixel + 1 : -1,
      pixel - width,
      pixel + width,
    ]) {
      if (next < 0 || next >= halo.length || halo[next] || !reach[next] || !pale(next)) continue;
      halo[next] = 1;
      queue.push(next);
    }
  }
  return halo;
}

/** Each highlight grown by its own measure. */
function faded({ width, height, pxPerMm, clipped }: Face): Uint8Array {
  const mask = grown(clipped, width, height, GROWN_MM * pxPerMm);
  const { count, of, label, area } = componentsOf(clipped, width, height);
  for (let patch = 0; patch < count; patch += 1) {
    const reach = FADES * Math.sqrt(area[patch]! / Math.PI);
    if (!label[patch] || reach <= GROWN_MM * pxPerMm) continue;
    const one = clipped.map((value, pixel) => (value && of[pixel] === patch ? 1 : 0));
    const wide = grown(one, width, height, Math.min(MOST_FADED_MM * pxPerMm, reach));
    for (let pixel = 0; pixel < mask.length; pixel += 1) mask[pixel]! |= wide[pixel]!;
  }
  return mask;
}
