import { open, readFile } from 'node:fs/promises';
import sharp from 'sharp';
import { unfit } from '../http/problem.ts';
import type { Unpack } from './heic.ts';
import { withMemoryFor } from './memory.ts';
import { isPlainJpeg } from './plainJpeg.ts';

/** Largest picture that is taken in: above it a small file could fill the memory. */
export const MAX_PIXELS = 60_000_000;
export const MAX_UPLOAD_BYTES = 40 * 1024 * 1024;
const THUMBNAIL_PX = 480;
const JPEG_QUALITY = 92;

// Photos come one by one: what was decoded is not asked for again.
sharp.cache(false);
// Each of its threads holds buffers of its own, and a photo is seldom waited for alone.
sharp.concurrency(1);

/** A cleaned photo, as a file that is its own. */
export interface CleanPhoto {
  readonly path: string;
  readonly thumbnail: Buffer;
  readonly widthPx: number;
  readonly heightPx: number;
}

/** What a picture is by its first bytes. */
export type PictureKind = 'jpeg' | 'png' | 'heif';

/**
 * The one way in for every photo, from wherever it comes: turned upright as the camera meant it, everything else it
 * said (place, device, time) stripped, as a JPEG in sRGB. One that is just that already is kept to the byte, so that
 * what goes out and comes in again stays the same.
 *
 * It goes from file to file: a large photo is never held whole beside its own pixels.
 *
 * @param path of a file that nobody has looked at yet
 * @param to where the cleaned one may be written, and beside it (`unpackedAt`) what it is unpacked to: the caller takes both away
 * @param unpack reads what phones pack in their own way
 * @throws HttpProblem 422 with what to do when it is no photo, is broken, or is too large
 */
export async function cleanPhoto(path: string, to: string, unpack: Unpack): Promise<CleanPhoto> {
  const kind = await kindOf(path);
  const { width, height, isPacked } = await sizeOf(path, kind);
  if (width * height > MAX_PIXELS) {
    throw unfit('photo', 'The picture has more than 60 million pixels: save it smaller.');
  }
  return withMemoryFor(width * height, async () => {
    const unpacked = unpackedAt(to);
    try {
      if (isPacked) await unpack(path, unpacked);
      if (isPlainJpeg(await readFile(path))) {
        return { path, thumbnail: await makeThumbnail(path), widthPx: width, heightPx: height };
      }
      const info = await sharp(isPacked ? unpacked : path, { limitInputPixels: MAX_PIXELS, failOn: 'error' })
        .rotate()
        .flatten({ background: '#ffffff' })
        .toColorspace('srgb')
        // Looking for the shortest code would hold the whole picture's numbers in memory at once: 0.7 GB for 59 megapixels.
        .jpeg({ quality: JPEG_QUALITY, chromaSubsampling: '4:4:4', optimizeCoding: false })
        .toFile(to);
      return { path: to, thumbnail: await makeThumbnail(to), widthPx: info.width, heightPx: info.height };
    } catch {
      throw damaged();
    }
  });
}

/** Where a packed picture is unpacked to on the way. */
export const unpackedAt = (to: string): string => `${to}.png`;

const damaged = () => unfit('photo', 'The picture is damaged or incomplete: copy it from the camera again.');

const HEIF_BRANDS = new Set(['heic', 'heix', 'hevc', 'heim', 'heis', 'mif1', 'msf1', 'avif']);

/** By its first bytes; nothing that only claims to be a picture reaches the decoder. */
export async function kindOf(path: string): Promise<PictureKind> {
  const file = await open(path);
  try {
    const head = Buffer.alloc(12);
    await file.read(head, 0, 12, 0);
    if (head.subarray(0, 3).equals(Buffer.from([0xff, 0xd8, 0xff]))) return 'jpeg';
    if (head.subarray(0, 4).equals(Buffer.from([0x89, 0x50, 0x4e, 0x47]))) return 'png';
    const isHeif =
      head.toString('latin1', 4, 8) === 'ftyp' && HEIF_BRANDS.has(head.toString('latin1', 8, 12));
    if (isHeif) return 'heif';
  } finally {
    await file.close();
  }
  throw unfit('photo', 'This is no JPEG, PNG or HEIC picture: save the photo as one of them.');
}

/** How large it is, and whether it has to be unpacked before anything else here reads it. */
async function sizeOf(
  path: string,
  kind: PictureKind,
): Promise<{ width: number; height: number; isPacked: boolean }> {
  try {
    const { width, height, compression } = await sharp(path, { limitInputPixels: false }).metadata();
    return { width, height, isPacked: kind === 'heif' && compression === 'hevc' };
  } catch {
    throw damaged();
  }
}

function makeThumbnail(path: string): Promise<Buffer> {
  return sharp(path, { failOn: 'error', limitInputPixels: MAX_PIXELS })
    .resize({ width: THUMBNAIL_PX, height: THUMBNAIL_PX, fit: 'inside', withoutEnlargement: true })
    .jpeg({ quality: 82 })
    .toBuffer();
}
