import { readFile, writeFile } from 'node:fs/promises';
import { crc32, deflateSync } from 'node:zlib';
import sharp from 'sharp';

/** Unpacks a HEIC picture into a PNG that everything else reads. */
export type Unpack = (path: string, to: string) => Promise<void>;

/**
 * Unpacks the picture of a HEIC file, turned as it says, its color profile kept.
 *
 * It takes a second for every six megapixels or so: on a thread of its own.
 *
 * @throws Error when there is no picture in it, or it is damaged
 */
export async function unpackHeic(path: string, to: string): Promise<void> {
  // Large, and seldom needed.
  const { default: libheif } = await import('libheif-js/wasm-bundle.js');
  const file = await readFile(path);
  const [image] = new libheif.HeifDecoder().decode(file);
  if (!image) throw new Error('There is no picture in it.');
  const [width, height] = [image.get_width(), image.get_height()];
  const pixels = await new Promise<Uint8ClampedArray>((resolve, reject) => {
    const empty = { data: new Uint8ClampedArray(4 * width * height), width, height };
    image.display(empty, (shown) => (shown ? resolve(shown.data) : reject(new Error('It is damaged.'))));
  });
  const png = await sharp(pixels, { raw: { width, height, channels: 4 } })
    .removeAlpha()
    .png({ compressionLevel: 1 })
    .toBuffer();
  const profile = profileIn(file);
  await writeFile(to, profile ? withProfile(png, profile) : png);
}

const BOX_HEAD = 8;

/** The ICC profile in the box "colr" of a HEIC file (ISO/IEC 14496-12, from memory); undefined without one. */
export function profileIn(file: Buffer): Buffer | undefined {
  const at = file.indexOf('colrprof', 0, 'latin1');
  if (at < 4) return undefined;
  const end = at - 4 + file.readUInt32BE(at - 4);
  return end <= file.length ? file.subarray(at + BOX_HEAD, end) : undefined;
}

const SIGNATURE_AND_HEAD = 33;

/** A PNG with a profile behind its head (PNG specification, chunk iCCP, from memory). */
export function withProfile(png: Buffer, profile: Buffer): Buffer {
  const body = Buffer.concat([Buffer.from('iCCPprofile\0\0', 'latin1'), deflateSync(profile)]);
  const chunk = Buffer.alloc(body.length + 8);
  chunk.writeUInt32BE(body.length - 4, 0);
  body.copy(chunk, 4);
  chunk.writeUInt32BE(crc32(body), body.length + 4);
  return Buffer.concat([png.subarray(0, SIGNATURE_AND_HEAD), chunk, png.subarray(SIGNATURE_AND_HEAD)]);
}
