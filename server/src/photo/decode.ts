import type { PhotoPixels } from '@icy-ribbon/core/picture';
import sharp from 'sharp';
import { MAX_PIXELS } from './clean.ts';

/** The pixels of an image file, upright, in sRGB. */
export async function decodePhoto(image: Buffer | string): Promise<PhotoPixels> {
  const { data, info } = await sharp(image, { limitInputPixels: MAX_PIXELS })
    .rotate()
    .toColorspace('srgb')
    .removeAlpha()
    .raw()
    .toBuffer({ resolveWithObject: true });
  return { widthPx: info.width, heightPx: info.height, channels: 3, data };
}
