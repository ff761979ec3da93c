import sharp from 'sharp';
import { unfit } from '../http/problem.ts';

/** Largest picture that is taken in: above it a small file could fill the memory. */
export const MAX_PIXELS = 60_000_000;
export const MAX_UPLOAD_BYTES = 40 * 1024 * 1024;
const THUMBNAIL_PX = 480;
const JPEG_QUALITY = 92;

export interface CleanPhoto {
  readonly image: Buffer;
  readonly widthPx: number;
  readonly heightPx: number;
}

/**
 * A photo as it is kept: turned upright as the camera meant it, everything else it said (place, device,
 * time) stripped, as a JPEG in sRGB.
 *
 * @throws HttpProblem 422 with what to do when it is no JPEG or PNG, is broken, or is too large
 */
export async function cleanPhoto(upload: Buffer): Promise<CleanPhoto> {
  const kind = await describeImage(upload);
  if (!kind || (kind.format !== 'jpeg' && kind.format !== 'png')) {
    throw unfit('photo', 'This is no JPEG or PNG picture: save the photo as one of them.');
  }
  if (kind.widthPx * kind.heightPx > MAX_PIXELS) {
    throw unfit('photo', 'The picture has more than 60 million pixels: save it smaller.');
  }
  try {
    const { data, info } = await sharp(upload, { limitInputPixels: MAX_PIXELS, failOn: 'error' })
      .rotate()
      .flatten({ background: '#ffffff' })
      .toColorspace('srgb')
      .jpeg({ quality: JPEG_QUALITY, chromaSubsampling: '4:4:4' })
      .toBuffer({ resolveWithObject: true });
    return { image: data, widthPx: info.width, heightPx: info.height };
  } catch {
    throw unfit('photo', 'The picture is damaged or incomplete: copy it from the camera again.');
  }
}

/** Format and size of an image, or `undefined` when it is none. */
export async function describeImage(
  image: Buffer,
): Promise<{ format: string; widthPx: number; heightPx: number } | undefined> {
  try {
    const { format, width, height } = await sharp(image, {
      limitInputPixels: false,
    }).metadata();
    return { format, widthPx: width, heightPx: height };
  } catch {
    return undefined;
  }
}

export function makeThumbnail(image: Buffer): Promise<Buffer> {
  return sharp(image)
    .resize({ width: THUMBNAIL_PX, height: THUMBNAIL_PX, fit: 'inside', withoutEnlargement: true })
    .jpeg({ quality: 82 })
    .toBuffer();
}
