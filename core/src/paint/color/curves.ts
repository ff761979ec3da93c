/**
 * Many mixes at a time: the formula by which spectral.js mixes (Kubelka-Munk 1931 on 38 wavelengths), on number
 * arrays made once a paint. Tables of light and eye are asked of the library, by its answers to single wavelengths.
 */
import { Color } from 'spectral.js';
import { oklabInto } from './oklab.ts';

/** A paint as the mixing formula sees it. */
export interface Curve {
  /** Absorption over scattering, a wavelength each. */
  readonly ks: Float64Array;
  /** How much one part of it counts. */
  readonly weight: number;
}

export function curveOf(color: Color): Curve {
  return { ks: Float64Array.from(color.KS), weight: color.tintingStrength ** 2 * color.luminance };
}

const WAVELENGTHS = new Color('#ffffff').KS.length;
const SEEN = Array.from({ length: WAVELENGTHS }, (_, lit) =>
  Float64Array.from(new Color(Array.from({ length: WAVELENGTHS }, (__, at) => (at === lit ? 1 : 0))).lRGB),
);

/** OKLab of paints stirred together, written to `lab`; parts count by their square, as in the library. */
export function mixInto(
  parts: readonly { readonly curve: Curve; readonly amount: number }[],
  lab: Float32Array,
) {
  const shares = parts.map(({ curve, amount }) => amount ** 2 * curve.weight);
  const whole = shares.reduce((sum, share) => sum + share, 0);
  let [r, g, b] = [0, 0, 0];
  for (let at = 0; at < WAVELENGTHS; at += 1) {
    let ks = 0;
    for (let part = 0; part < parts.length; part += 1) ks += parts[part]!.curve.ks[at]! * shares[part]!;
    ks /= whole;
    const reflected = 1 + ks - Math.sqrt(ks * ks + 2 * ks);
    const seen = SEEN[at]!;
    r += reflected * seen[0]!;
    g += reflected * seen[1]!;
    b += reflected * seen[2]!;
  }
  oklabInto(r, g, b, lab, 0);
}
