import { byteOf } from '../../paint/color/linear.ts';
import { composer, type Composed } from './compose.ts';
import { noiseAt, noiseTable } from './noise.ts';
import type { FilmLook } from './scene.ts';

/** How the light falls: assumptions of the picture. */
export const LIGHT = {
  /** Toward the lamp. */
  lamp: [-0.42, -0.52, 0.744],
  ambient: 0.42,
  /** A soft box is mirrored at this slope, this wide. */
  boxX: -0.055,
  boxY: -0.065,
  boxWidth: 0.046,
  boxLight: 5,
  mirror: 0.04,
} as const;

/** How bright a photo for measuring is. */
const EVENLY = 0.82;

export interface FilmPicture {
  readonly width: number;
  readonly height: number;
  /** Red, green, blue of each pixel, row by row. */
  readonly rgb: Uint8ClampedArray;
  /** Whether a hole of the sheet is seen, 0 to 255. */
  readonly holes: Uint8ClampedArray;
}

let table: Float32Array | undefined;
/**
 * The noise that pictures are drawn with, made once: four tiles side by side.
 *
 * @example pictureNoise().length // 1048576
 */
export const pictureNoise = (): Float32Array => (table ??= noiseTable());

const smoothstep = (from: number, to: number, value: number): number => {
  const t = Math.min(1, Math.max(0, (value - from) / (to - from)));
  return t * t * (3 - 2 * t);
};

/**
 * The face of a film from straight above, as paint looks: crisp edges, depth through thin films, gloss. For standing pictures; while it moves
 * the page draws the same on the graphics processor.
 *
 * @param width pixels across the face
 * @param given.isGlossy false is a photo for measuring: evenly lit, no mirrored lamp, white below the brightest
 */
export function pictureOf(
  look: FilmLook,
  width: number,
  given: { readonly isGlossy?: boolean } = {},
): FilmPicture {
  const noise = pictureNoise();
  const pixelM = (look.columns * look.cellM) / width;
  const height = Math.round((look.rows * look.cellM) / pixelM);
  const compose = composer(look, noise, pixelM);
  const colors = new Float32Array(3 * width * height);
  let surface: Float32Array = new Float32Array(width * height);
  const holes = new Uint8ClampedArray(width * height);
  const pixel: Composed = { r: 0, g: 0, b: 0, surface: 0, hole: 0 };
  for (let y = 0; y < height; y += 1) {
    for (let x = 0; x < width; x += 1) {
      compose((x + 0.5) * pixelM, (y + 0.5) * pixelM, pixel);
      const at = y * width + x;
      colors[3 * at] = pixel.r;
      colors[3 * at + 1] = pixel.g;
      colors[3 * at + 2] = pixel.b;
      surface[at] = pixel.surface;
      holes[at] = 255 * Math.max(0, pixel.hole);
    }
  }
  surface = settled(settled(surface, width, height), width, height);
  return {
    width,
    height,
    rgb: lit(look, colors, surface, width, height, noise, given.isGlossy ?? true),
    holes,
  };
}

/** Surface tension evens out what is as small as a pixel. */
function settled(surface: Float32Array, width: number, height: number): Float32Array {
  const across = new Float32Array(surface.length);
  const out = new Float32Array(surface.length);
  for (let at = 0; at < surface.length; at += 1) {
    const x = at % width;
    const left = x > 0 ? at - 1 : at;
    const right = x < width - 1 ? at + 1 : at;
    across[at] = 0.25 * (surface[left]! + surface[right]!) + 0.5 * surface[at]!;
  }
  for (let at = 0; at < surface.length; at += 1) {
    const above = at >= width ? at - width : at;
    const below = at + width < width * height ? at + width : at;
    out[at] = 0.25 * (across[above]! + across[below]!) + 0.5 * across[at]!;
  }
  return out;
}

function lit(
  look: FilmLook,
  colors: Float32Array,
  surface: Float32Array,
  width: number,
  height: number,
  noise: Float32Array,
  isGlossy: boolean,
): Uint8ClampedArray {
  const pixelM = (look.columns * look.cellM) / width;
  const rgb = new Uint8ClampedArray(3 * width * height);
  const [lampX, lampY, lampZ] = LIGHT.lamp;
  for (let y = 0; y < height; y += 1) {
    for (let x = 0; x < width; x += 1) {
      const at = y * width + x;
      const cell =
        Math.floor((y * pixelM) / look.cellM + 2) * look.stride + Math.floor((x * pixelM) / look.cellM + 2);
      if (!look.isInside[cell]) continue;
      const [left, right] = [x > 0 ? at - 1 : at, x < width - 1 ? at + 1 : at];
      const [above, below] = [y > 0 ? at - width : at, y < height - 1 ? at + width : at];
      const [mmX, mmY] = [(x * pixelM) / 6e-3, (y * pixelM) / 6e-3];
      const slopeX =
        (surface[right]! - surface[left]!) / (2 * pixelM) + 0.003 * noiseAt(noise, mmX, mmY, 301);
      const slopeY =
        (surface[below]! - surface[above]!) / (2 * pixelM) + 0.003 * noiseAt(noise, mmX, mmY, 302);
      const long = 1 / Math.sqrt(slopeX * slopeX + slopeY * slopeY + 1);
      const [nx, ny, nz] = [-slopeX * long, -slopeY * long, long];
      if (!isGlossy) {
        for (let channel = 0; channel < 3; channel += 1) {
          rgb[3 * at + channel] = byteOf(EVENLY * colors[3 * at + channel]!);
        }
        continue;
      }
      const facing = Math.max(0, nx * lampX + ny * lampY + nz * lampZ) / lampZ;
      const bend =
        (surface[right]! + surface[left]! + surface[below]! + surface[above]! - 4 * surface[at]!) /
        (pixelM * pixelM);
      const shade =
        (LIGHT.ambient + (1 - LIGHT.ambient) * facing) * (1 - Math.max(-0.12, Math.min(0.2, 4e-4 * bend)));
      const back = 2 * nz * nz - 1;
      const [viewX, viewY] = [(2 * nz * nx) / back, (2 * nz * ny) / back];
      const box =
        smoothstep(LIGHT.boxWidth, 0.45 * LIGHT.boxWidth, Math.abs(viewX - LIGHT.boxX)) *
        smoothstep(LIGHT.boxWidth, 0.45 * LIGHT.boxWidth, Math.abs(viewY - LIGHT.boxY));
      const mirror = LIGHT.mirror + (1 - LIGHT.mirror) * (1 - Math.max(0, nz)) ** 5;
      const gloss = mirror * (0.5 * Math.max(0, 0.5 - 0.9 * viewY) + LIGHT.boxLight * box);
      for (let channel = 0; channel < 3; channel += 1) {
        rgb[3 * at + channel] = byteOf(colors[3 * at + channel]! * shade * (1 - mirror) + gloss);
      }
    }
  }
  return rgb;
}
