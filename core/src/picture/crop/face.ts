import { InputError } from '../../base/error/index.ts';
import { rectangleTo } from '../homography.ts';
import { LINEAR_OF_BYTE, oklabInto } from '../../paint/color/oklab.ts';
import type { Corners, MeasureInput, PhotoPixels } from '../photo.ts';
import { nearestSeed, seedsOf, type Nearest } from '../seeds.ts';

/** The face at a glance: the number of the nearest color of each small pixel. */
export interface LabelledFace {
  readonly width: number;
  readonly height: number;
  readonly pxPerMm: number;
  readonly labels: Uint8Array;
  /** How many colors there are. */
  readonly colors: number;
  /** Number of the base. */
  readonly base: number;
}

/** Its longer side; finer than this no crop is told from another. */
const GLANCE_PX = 360;

/**
 * The face straightened and labeled at a glance, by the colors of its measurement: what a crop is judged by.
 *
 * @throws InputError when corners or colors do not fit
 */
export function faceAtAGlance(
  photo: PhotoPixels,
  input: Pick<MeasureInput, 'corners' | 'widthMm' | 'heightMm' | 'palette' | 'base'>,
): LabelledFace {
  const { widthMm, heightMm } = input;
  if (!(widthMm > 0 && heightMm > 0)) throw new InputError('widthMm', 'The support has a size above 0.');
  const seeds = seedsOf({ ...input, shape: 'rectangle' } as MeasureInput);
  const pxPerMm = GLANCE_PX / Math.max(widthMm, heightMm);
  const width = Math.max(1, Math.round(widthMm * pxPerMm));
  const height = Math.max(1, Math.round(heightMm * pxPerMm));
  const labels = new Uint8Array(width * height);
  const lab = new Float32Array(3);
  const nearest: Nearest = { seed: 0, squared: 0 };
  eachPixel(photo, input.corners, width, height, (pixel, r, g, b) => {
    oklabInto(r, g, b, lab, 0);
    nearestSeed(seeds, lab[0]!, lab[1]!, lab[2]!, nearest);
    labels[pixel] = nearest.seed;
  });
  return { width, height, pxPerMm, labels, colors: seeds.names.length, base: seeds.base };
}

/** Places looked at in each small pixel, each way: a mean of them is its color. */
const FINER = 2;

function eachPixel(
  { data, channels, widthPx, heightPx }: PhotoPixels,
  corners: Corners,
  width: number,
  height: number,
  take: (pixel: number, r: number, g: number, b: number) => void,
): void {
  const [a, b, c, d, e, f, g, h] = rectangleTo(corners, width, height) as unknown as number[];
  for (let y = 0; y < height; y += 1) {
    for (let x = 0; x < width; x += 1) {
      let red = 0;
      let green = 0;
      let blue = 0;
      for (let sub = 0; sub < FINER * FINER; sub += 1) {
        const faceX = x + ((sub % FINER) + 0.5) / FINER;
        const faceY = y + (Math.floor(sub / FINER) + 0.5) / FINER;
        const depth = 1 / (g! * faceX + h! * faceY + 1);
        const u = Math.min(widthPx - 1, Math.max(0, Math.floor((a! * faceX + b! * faceY + c!) * depth)));
        const v = Math.min(heightPx - 1, Math.max(0, Math.floor((d! * faceX + e! * faceY + f!) * depth)));
        const at = (v * widthPx + u) * channels;
        red += LINEAR_OF_BYTE[data[at]!]!;
        green += LINEAR_OF_BYTE[data[at + 1]!]!;
        blue += LINEAR_OF_BYTE[data[at + 2]!]!;
      }
      const share = 1 / (FINER * FINER);
      take(y * width + x, red * share, green * share, blue * share);
    }
  }
}
