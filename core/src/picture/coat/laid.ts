import { grown } from '../raster.ts';
import type { Face } from '../rectify.ts';
import type { Coat } from './coat.ts';

/** A face laid flat, with the light taken out: every pixel as it is to the coat at its place. */
export interface LaidFace {
  readonly width: number;
  readonly height: number;
  readonly pxPerMm: number;
  readonly photoPxPerMm: number;
  /** Red, green, blue over those of the coat, 1 where nothing else lies; a mean over the nearest pixels. */
  readonly ratio: Float32Array;
  /** How light the coat is taken for: what a share of it is turned into a color by. */
  readonly coatLight: readonly [number, number, number];
  /** 1 where light shines back. */
  readonly glare: Uint8Array;
  /** 1 where the pale surroundings of glare may change a color. */
  readonly nearGlare: Uint8Array;
}

/** How light a coat is taken for when its share of a color is turned into a color. */
export const COAT_LIGHT = 0.85;
/** Brighter than the coat by this, beside a full pixel, is glare: unless pale things lie on the coat. */
const BRIGHTER = 1.06;
/** A coat darker than this is taken as it is seen: by it nothing can be told of how light the picture was taken. */
const DARK = 0.3;
/** Where the bare coat itself is as bright, a full pixel is no glare. */
const FULL_COAT = 0.93;
/** The halo of a highlight: where it is looked for around full pixels, and how far colors change beyond it, mm. */
const HALO_MM = 4;
const BEYOND_MM = 1.5;
/** From this resolution on each pixel is a mean with its neighbors. */
const SMOOTH_PX_PER_MM = 3;

export function laidFace(face: Face, coat: Coat): LaidFace {
  const { width, height, pxPerMm, photoPxPerMm, rgb, clipped } = face;
  const plain = new Float32Array(rgb.length);
  const coatLight = lightOf(face, coat);
  const full = new Uint8Array(clipped.length);
  for (let y = 0; y < height; y += 1) {
    const bare = coat(y);
    for (let x = 0; x < width; x += 1) {
      const at = y * width + x;
      let fullCoat = 0;
      for (let channel = 0; channel < 3; channel += 1) {
        const light = bare[3 * x + channel]!;
        plain[3 * at + channel] = rgb[3 * at + channel]! / Math.max(1e-3, light);
        if (light > FULL_COAT) fullCoat += 1;
      }
      full[at] = clipped[at] && fullCoat < 2 ? 1 : 0;
    }
  }
  const reach = grown(full, width, height, HALO_MM * pxPerMm);
  const glare = full.map((value, at) =>
    value || (reach[at] && Math.min(plain[3 * at]!, plain[3 * at + 1]!, plain[3 * at + 2]!) > BRIGHTER)
      ? 1
      : 0,
  );
  return {
    ...{ width, height, pxPerMm, photoPxPerMm, coatLight, glare },
    ratio: pxPerMm < SMOOTH_PX_PER_MM ? plain : smoothed(plain, width),
    nearGlare: grown(glare, width, height, BEYOND_MM * pxPerMm),
  };
}

/** A light coat is white, however light the picture was taken; a dark one is what its middle shows. */
function lightOf({ width, height }: Face, coat: Coat): LaidFace['coatLight'] {
  const middle = 3 * (width >> 1);
  const [r, g, b] = coat(height >> 1).subarray(middle, middle + 3) as unknown as [number, number, number];
  return (r + g + b) / 3 > DARK ? [COAT_LIGHT, COAT_LIGHT, COAT_LIGHT] : [r, g, b];
}

/** Each pixel as the mean of three by three: at a straight edge one half stays where it was. */
function smoothed(plain: Float32Array, width: number): Float32Array {
  const row = new Float32Array(plain.length);
  const out = new Float32Array(plain.length);
  const wide = 3 * width;
  for (let start = 0; start < plain.length; start += wide) {
    const end = start + wide;
    for (let at = start; at < end; at += 1) {
      const left = at - 3 >= start ? plain[at - 3]! : plain[at]!;
      const right = at + 3 < end ? plain[at + 3]! : plain[at]!;
      row[at] = (left + plain[at]! + right) / 3;
    }
  }
  for (let at = 0; at < plain.length; at += 1) {
    const above = at >= wide ? row[at - wide]! : row[at]!;
    const below = at + wide < plain.length ? row[at + wide]! : row[at]!;
    out[at] = (above + row[at]! + below) / 3;
  }
  return out;
}
