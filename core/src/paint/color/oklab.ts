/**
 * OKLab, fast, for whole pictures. Constants: B. Ottosson, "A perceptual color space for image processing",
 * 2020 (from memory; the tests compare them with a reference library).
 */
import { linearRgb } from './linear.ts';

export { byteOf, hexOf, LINEAR_OF_BYTE, linearOf, linearRgb } from './linear.ts';

const ROOT_STEPS = 8192;
const ROOT_TOP = 2;
const ROOTS = Float32Array.from({ length: ROOT_STEPS + 2 }, (_, step) =>
  Math.cbrt((ROOT_TOP * step) / ROOT_STEPS),
);

/** Cube root of 0 to 2 by a table; exact below, where the table would be coarse, and above it. */
function root(value: number): number {
  if (value < 0.004 || value >= ROOT_TOP) return Math.cbrt(Math.max(0, value));
  const place = value * (ROOT_STEPS / ROOT_TOP);
  const step = place | 0;
  const low = ROOTS[step]!;
  return low + (ROOTS[step + 1]! - low) * (place - step);
}

/** Writes OKLab of one linear RGB color to `out` at `at`. */
export function oklabInto(r: number, g: number, b: number, out: Float32Array, at: number): void {
  const l = root(0.4122214708 * r + 0.5363325363 * g + 0.0514459929 * b);
  const m = root(0.2119034982 * r + 0.6806995451 * g + 0.1073969566 * b);
  const s = root(0.0883024619 * r + 0.2817188376 * g + 0.6299787005 * b);
  out[at] = 0.2104542553 * l + 0.793617785 * m - 0.0040720468 * s;
  out[at + 1] = 1.9779984951 * l - 2.428592205 * m + 0.4505937099 * s;
  out[at + 2] = 0.0259040371 * l + 0.7827717662 * m - 0.808675766 * s;
}

/** How far two colors are from each other in OKLab, given as #rrggbb. */
export function hexDistance(a: string, b: string): number {
  const lab = new Float32Array(6);
  oklabInto(...linearRgb(a), lab, 0);
  oklabInto(...linearRgb(b), lab, 3);
  return Math.hypot(lab[0]! - lab[3]!, lab[1]! - lab[4]!, lab[2]! - lab[5]!);
}
