import { InputError } from '../base/error/index.ts';
import { project, quadArea, rectangleTo, type Homography } from './homography.ts';
import { LINEAR_OF_BYTE } from '../paint/color/oklab.ts';
import type { MeasureInput, PatchMm, PhotoPixels } from './photo.ts';

/** The face of the support seen straight from above, in linear light. */
export interface Face {
  readonly width: number;
  readonly height: number;
  readonly pxPerMm: number;
  /** Pixels of the photo to a millimeter, on average. */
  readonly photoPxPerMm: number;
  /** Linear red, green, blue of each pixel, 0 to 1. */
  readonly rgb: Float32Array;
  /** 1 where at least two channels of the photo were full. */
  readonly clipped: Uint8Array;
  /** 1 on the face; 0 in the corners around a round support. */
  readonly onFace: Uint8Array;
}

const MOST_PX_PER_MM = 8;
const MOST_FACE_PX = 12_000_000;
const LEAST_PX_PER_MM = 0.5;
const FULL = 250;

/**
 * Looks at the face straight from above, at a resolution never finer than the photo's own.
 *
 * @param mostPxPerMm finest resolution that is of use
 * @throws InputError when the corners do not go round the support or it is too small in the photo
 */
export function rectify(
  photo: PhotoPixels,
  input: Pick<MeasureInput, 'corners' | 'widthMm' | 'heightMm' | 'shape'>,
  mostPxPerMm = MOST_PX_PER_MM,
): Face {
  const { widthMm, heightMm, corners } = input;
  const photoPxPerMm = Math.sqrt(quadArea(corners) / (widthMm * heightMm));
  const most = Math.sqrt(MOST_FACE_PX / (widthMm * heightMm));
  const pxPerMm = Math.min(mostPxPerMm, most, photoPxPerMm);
  if (pxPerMm < LEAST_PX_PER_MM) {
    throw new InputError('corners', 'The support is too small in this photo. Go closer and take another.');
  }
  const width = Math.round(widthMm * pxPerMm);
  const height = Math.round(heightMm * pxPerMm);
  const map = rectangleTo(corners, width, height);
  const rgb = new Float32Array(width * height * 3);
  const clipped = new Uint8Array(width * height);
  const finer = Math.min(4, Math.max(1, Math.round(photoPxPerMm / pxPerMm)));
  sampleInto(photo, map, width, height, finer, rgb, clipped);
  return {
    width,
    height,
    pxPerMm,
    photoPxPerMm,
    rgb,
    clipped,
    onFace: faceMask(width, height, input.shape ?? 'rectangle'),
  };
}

function faceMask(width: number, height: number, shape: 'rectangle' | 'round'): Uint8Array {
  const mask = new Uint8Array(width * height).fill(shape === 'rectangle' ? 1 : 0);
  if (shape === 'rectangle') return mask;
  for (let y = 0; y < height; y += 1) {
    for (let x = 0; x < width; x += 1) {
      const across = (2 * (x + 0.5)) / width - 1;
      const down = (2 * (y + 0.5)) / height - 1;
      if (across * across + down * down < 1) mask[y * width + x] = 1;
    }
  }
  return mask;
}

/** Bilinear in linear light, averaged over `finer` by `finer` places a pixel. */
function sampleInto(
  photo: PhotoPixels,
  map: Homography,
  width: number,
  height: number,
  finer: number,
  rgb: Float32Array,
  clipped: Uint8Array,
): void {
  const { data, channels, widthPx, heightPx } = photo;
  const [a, b, c, d, e, f, g, h] = map as unknown as number[];
  const share = 1 / (finer * finer);
  const lastX = widthPx - 2;
  const lastY = heightPx - 2;
  const down = widthPx * channels;
  for (let y = 0; y < height; y += 1) {
    for (let x = 0; x < width; x += 1) {
      let red = 0;
      let green = 0;
      let blue = 0;
      let full = 0;
      for (let sub = 0; sub < finer * finer; sub += 1) {
        const faceX = x + ((sub % finer) + 0.5) / finer;
        const faceY = y + (Math.floor(sub / finer) + 0.5) / finer;
        const depth = 1 / (g! * faceX + h! * faceY + 1);
        const u = Math.min(lastX, Math.max(0, (a! * faceX + b! * faceY + c!) * depth - 0.5));
        const v = Math.min(lastY, Math.max(0, (d! * faceX + e! * faceY + f!) * depth - 0.5));
        const left = u | 0;
        const top = v | 0;
        const p = u - left;
        const q = v - top;
        const at = (top * widthPx + left) * channels;
        const w00 = (1 - p) * (1 - q);
        const w10 = p * (1 - q);
        const w01 = (1 - p) * q;
        const w11 = p * q;
        red +=
          w00 * LINEAR_OF_BYTE[data[at]!]! +
          w10 * LINEAR_OF_BYTE[data[at + channels]!]! +
          w01 * LINEAR_OF_BYTE[data[at + down]!]! +
          w11 * LINEAR_OF_BYTE[data[at + down + channels]!]!;
        green +=
          w00 * LINEAR_OF_BYTE[data[at + 1]!]! +
          w10 * LINEAR_OF_BYTE[data[at + channels + 1]!]! +
          w01 * LINEAR_OF_BYTE[data[at + down + 1]!]! +
          w11 * LINEAR_OF_BYTE[data[at + down + channels + 1]!]!;
        blue +=
          w00 * LINEAR_OF_BYTE[data[at + 2]!]! +
          w10 * LINEAR_OF_BYTE[data[at + channels + 2]!]! +
          w01 * LINEAR_OF_BYTE[data[at + down + 2]!]! +
          w11 * LINEAR_OF_BYTE[data[at + down + channels + 2]!]!;
        if (sub === 0) {
          const fullChannels =
            Number(data[at]! >= FULL) + Number(data[at + 1]! >= FULL) + Number(data[at + 2]! >= FULL);
          full = fullChannels >= 2 ? 1 : 0;
        }
      }
      const pixel = y * width + x;
      rgb[3 * pixel] = red * share;
      rgb[3 * pixel + 1] = green * share;
      rgb[3 * pixel + 2] = blue * share;
      clipped[pixel] = full;
    }
  }
}

/** Median linear color of a rectangle on the support's plane, its rim left out; undefined outside the photo. */
export function patchColor(
  photo: PhotoPixels,
  input: MeasureInput,
  patch: PatchMm,
): [number, number, number] | undefined {
  const map = rectangleTo(input.corners, input.widthMm, input.heightMm);
  const [left, top, right, bottom] = patch;
  const found: [number[], number[], number[]] = [[], [], []];
  const STEPS = 24;
  for (let row = 0; row < STEPS; row += 1) {
    for (let column = 0; column < STEPS; column += 1) {
      const x = left + (right - left) * (0.2 + (0.6 * (column + 0.5)) / STEPS);
      const y = top + (bottom - top) * (0.2 + (0.6 * (row + 0.5)) / STEPS);
      const [u, v] = project(map, x, y);
      const px = Math.floor(u);
      const py = Math.floor(v);
      if (px < 0 || py < 0 || px >= photo.widthPx || py >= photo.heightPx) return undefined;
      const at = (py * photo.widthPx + px) * photo.channels;
      for (let channel = 0; channel < 3; channel += 1) {
        found[channel]!.push(LINEAR_OF_BYTE[photo.data[at + channel]!]!);
      }
    }
  }
  return found.map((values) => values.sort((a, b) => a - b)[values.length >> 1]!) as [number, number, number];
}
