import {
  detailOf,
  findCorners,
  measurePhoto,
  numbersOf,
  wetDry,
  type DetailReport,
  type FoundCorners,
  type Measured,
  type MeasureInput,
  type MeasureStep,
  type PaletteColor,
  type PhotoPixels,
  type WetDry,
} from '@icy-ribbon/core/picture';
import { InputError } from '@icy-ribbon/core/base/error';
import { expose } from 'comlink';

/** Decoded in the browser, upright as the camera meant it. */
async function decode(url: string): Promise<PhotoPixels> {
  const response = await fetch(url);
  if (!response.ok) throw new InputError('photo', 'The photo could not be loaded. Try again.');
  const bitmap = await createImageBitmap(await response.blob(), { imageOrientation: 'from-image' });
  const canvas = new OffscreenCanvas(bitmap.width, bitmap.height);
  const context = canvas.getContext('2d', { willReadFrequently: true })!;
  context.drawImage(bitmap, 0, 0);
  const { data, width, height } = context.getImageData(0, 0, bitmap.width, bitmap.height);
  bitmap.close();
  return { widthPx: width, heightPx: height, channels: 4, data };
}

let last: { readonly url: string; readonly photo: PhotoPixels } | undefined;

/** The photo that was looked at last stays at hand: finding corners and measuring read the same one. */
async function photoAt(url: string): Promise<PhotoPixels> {
  if (last?.url !== url) last = { url, photo: await decode(url) };
  return last.photo;
}

export interface PhotoReport {
  readonly numbers: ReturnType<typeof numbersOf>;
  readonly detail: DetailReport;
  /** The colors as they were found. */
  readonly found: readonly PaletteColor[];
  readonly milliseconds: number;
}

/** What the photo worker does, away from the page. */
const photoWorker = {
  async findCorners(url: string, shape: 'rectangle' | 'round'): Promise<FoundCorners> {
    return findCorners(await photoAt(url), shape);
  },

  async measure(url: string, input: MeasureInput, onStep: (step: MeasureStep) => void): Promise<PhotoReport> {
    const photo = await photoAt(url);
    const start = performance.now();
    const measured: Measured = measurePhoto(photo, input, (step) => onStep(step));
    return {
      numbers: numbersOf(measured),
      detail: detailOf(measured),
      found: measured.palette,
      milliseconds: performance.now() - start,
    };
  },

  async compare(
    wet: { readonly url: string; readonly input: MeasureInput },
    dry: { readonly url: string; readonly input: MeasureInput },
  ): Promise<WetDry> {
    const before = measurePhoto(await decode(wet.url), wet.input);
    return wetDry(before, measurePhoto(await decode(dry.url), dry.input));
  },
};

export type PhotoWorker = typeof photoWorker;
expose(photoWorker);
