import {
  coverOf,
  detailOf,
  findCorners,
  measurePhoto,
  measureRace,
  numbersOf,
  puddlesOn,
  swatchColor,
  wetDry,
  type Corners,
  type Cover,
  type CoverInput,
  type DetailReport,
  type FoundCorners,
  type Measured,
  type MeasuredRace,
  type MeasureInput,
  type MeasureStep,
  type PaletteColor,
  type PhotoPixels,
  type Puddles,
  type PuddlesInput,
  type RaceInput,
  type SwatchColor,
  type SwatchInput,
  type WetDry,
} from '@icy-ribbon/core/picture';
import {
  cropBench,
  faceAtAGlance,
  findCrops,
  judgeCrop,
  withJpegDensity,
  withPngDensity,
  type Crop,
  type CropBench,
  type CropGround,
  type LabelledFace,
  type Part,
} from '@icy-ribbon/core/picture/crop';
import { rectangleTo } from '@icy-ribbon/core/picture';
import { InputError } from '@icy-ribbon/core/base/error';
import { expose } from 'comlink';

async function decode(url: string): Promise<PhotoPixels> {
  const response = await fetch(url);
  if (!response.ok) throw new InputError('photo', 'The photo could not be loaded. Try again.');
  return pixelsOf(await response.blob());
}

/** Decoded in the browser, upright as the camera meant it. */
async function pixelsOf(file: Blob): Promise<PhotoPixels> {
  const bitmap = await createImageBitmap(file, { imageOrientation: 'from-image' }).catch(() => {
    throw new InputError('photo', 'This file is no picture that the browser can read: take a JPEG or PNG.');
  });
  const canvas = new OffscreenCanvas(bitmap.width, bitmap.height);
  const context = canvas.getContext('2d', { willReadFrequently: true })!;
  context.drawImage(bitmap, 0, 0);
  const { data, width, height } = context.getImageData(0, 0, bitmap.width, bitmap.height);
  bitmap.close();
  return { widthPx: width, heightPx: height, channels: 4, data };
}

/** A photo of the studio by its address, or a picture that was just chosen. */
export type PictureSource = string | File;

let last: { readonly of: string; readonly photo: PhotoPixels } | undefined;

/** The photo that was looked at last stays at hand: finding corners and measuring read the same one. */
async function photoAt(source: PictureSource): Promise<PhotoPixels> {
  const of = typeof source === 'string' ? source : `${source.name} ${source.size} ${source.lastModified}`;
  if (last?.of !== of) {
    last = { of, photo: typeof source === 'string' ? await decode(source) : await pixelsOf(source) };
  }
  return last.photo;
}

/** What of a measured photo crops are judged by, beside its pixels. */
export type CropRequest = Omit<CropGround, 'face'> & {
  readonly input: Pick<MeasureInput, 'corners' | 'widthMm' | 'heightMm' | 'palette' | 'base'>;
};

let bench: { readonly url: string; readonly bench: CropBench } | undefined;

async function benchOf(url: string, { input, ...ground }: CropRequest): Promise<CropBench> {
  if (bench?.url !== url) {
    bench = { url, bench: cropBench({ ...ground, face: faceAtAGlance(await photoAt(url), input) }) };
  }
  return bench.bench;
}

/** A part of the support straight from the front, as sharp as the photo has it, each pixel between its neighbors. */
function cutOut(
  photo: PhotoPixels,
  { input }: { readonly input: Pick<MeasureInput, 'corners'> },
  part: Part,
  widthPx: number,
  heightPx: number,
): ImageData {
  const map = rectangleTo(input.corners, 1, 1) as unknown as number[];
  const [a, b, c, d, e, f, g, h] = map as [number, number, number, number, number, number, number, number];
  const image = new ImageData(widthPx, heightPx);
  const { data, channels, widthPx: wide, heightPx: high } = photo;
  for (let y = 0; y < heightPx; y += 1) {
    const v = part.y + (part.height * (y + 0.5)) / heightPx;
    for (let x = 0; x < widthPx; x += 1) {
      const u = part.x + (part.width * (x + 0.5)) / widthPx;
      const depth = 1 / (g * u + h * v + 1);
      const px = Math.min(wide - 2, Math.max(0, (a * u + b * v + c) * depth - 0.5));
      const py = Math.min(high - 2, Math.max(0, (d * u + e * v + f) * depth - 0.5));
      const [left, top] = [px | 0, py | 0];
      const [p, q] = [px - left, py - top];
      const at = (top * wide + left) * channels;
      const to = 4 * (y * widthPx + x);
      for (let channel = 0; channel < 3; channel += 1) {
        const from = at + channel;
        image.data[to + channel] =
          (1 - q) * ((1 - p) * data[from]! + p * data[from + channels]!) +
          q * ((1 - p) * data[from + wide * channels]! + p * data[from + (wide + 1) * channels]!);
      }
      image.data[to + 3] = 255;
    }
  }
  return image;
}

export interface PhotoReport {
  readonly numbers: ReturnType<typeof numbersOf>;
  readonly detail: DetailReport;
  /** The colors as they were found. */
  readonly found: readonly PaletteColor[];
  readonly milliseconds: number;
}

export interface OpenedPicture extends FoundCorners {
  readonly widthPx: number;
  readonly heightPx: number;
}

/** What was looked at, straight from above. */
interface FromAbove {
  readonly picture: ImageData;
}
export type RaceReport = FromAbove & { readonly race: MeasuredRace };
export type CoverReport = FromAbove & { readonly cover: Cover };
export type PuddlesReport = FromAbove & { readonly puddles: Puddles };

const ACROSS_PX = 640;

function fromAbove(
  photo: PhotoPixels,
  input: { readonly corners: Corners; readonly widthMm: number; readonly heightMm: number },
): ImageData {
  const whole = { x: 0, y: 0, width: 1, height: 1 };
  return cutOut(photo, { input }, whole, ACROSS_PX, Math.round((ACROSS_PX * input.heightMm) / input.widthMm));
}

/** What the photo worker does, away from the page. */
const photoWorker = {
  async findCorners(url: string, shape: 'rectangle' | 'round'): Promise<FoundCorners> {
    return findCorners(await photoAt(url), shape);
  },

  /** A picture that was just chosen: how large it is, and where the corners of what it shows are. */
  async openPicture(source: PictureSource, shape: 'rectangle' | 'round'): Promise<OpenedPicture> {
    const photo = await photoAt(source);
    return { widthPx: photo.widthPx, heightPx: photo.heightPx, ...findCorners(photo, shape) };
  },

  /** A race on one picture of its card, which needs not be kept. */
  async race(source: PictureSource, input: RaceInput): Promise<RaceReport> {
    const photo = await photoAt(source);
    return { race: measureRace(photo, input), picture: fromAbove(photo, input) };
  },

  /** A color beside a gray card. */
  async swatch(source: PictureSource, input: SwatchInput): Promise<SwatchColor> {
    return swatchColor(await photoAt(source), input);
  },

  /** How much of a face its base covers. */
  async cover(source: PictureSource, input: CoverInput): Promise<CoverReport> {
    const photo = await photoAt(source);
    return { cover: coverOf(photo, input), picture: fromAbove(photo, input) };
  },

  /** How even small stacks are. */
  async puddles(source: PictureSource, input: PuddlesInput): Promise<PuddlesReport> {
    const photo = await photoAt(source);
    return { puddles: puddlesOn(photo, input), picture: fromAbove(photo, input) };
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

  /** The best parts of a photo at a ratio. */
  async findCrops(
    url: string,
    request: CropRequest,
    ratio: number,
  ): Promise<{ crops: Crop[]; milliseconds: number }> {
    const made = await benchOf(url, request);
    const start = performance.now();
    return { crops: findCrops(made, ratio), milliseconds: performance.now() - start };
  },

  /** One part, as it was moved by hand. */
  async judgeCrop(url: string, request: CropRequest, part: Part): Promise<Crop> {
    return judgeCrop(await benchOf(url, request), part);
  },

  /** A part as a file with its resolution written in. */
  async cropFile(
    url: string,
    request: CropRequest,
    part: Part,
    file: {
      readonly widthPx: number;
      readonly heightPx: number;
      readonly dpi: number;
      readonly type: 'image/jpeg' | 'image/png';
    },
  ): Promise<Uint8Array> {
    const canvas = new OffscreenCanvas(file.widthPx, file.heightPx);
    canvas
      .getContext('2d')!
      .putImageData(cutOut(await photoAt(url), request, part, file.widthPx, file.heightPx), 0, 0);
    const blob = await canvas.convertToBlob({ type: file.type, quality: 0.95 });
    const bytes = new Uint8Array(await blob.arrayBuffer());
    return file.type === 'image/png' ? withPngDensity(bytes, file.dpi) : withJpegDensity(bytes, file.dpi);
  },

  /** The face at a glance, for masking by color. */
  async glance(url: string, input: CropRequest['input']): Promise<LabelledFace> {
    return faceAtAGlance(await photoAt(url), input);
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
