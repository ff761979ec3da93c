import { crc32 } from 'node:zlib';
import sharp from 'sharp';

/** A plain picture of one color. */
export const solid = (width: number, height: number, background = '#8090a0') =>
  sharp({ create: { width, height, channels: 3, background } });

/** Pictures that must not be taken in as they are, each with what is said of it. */
export const BAD_PICTURES: readonly (readonly [string, () => Promise<Buffer>, RegExp])[] = [
  ['a text file', () => Promise.resolve(Buffer.from('not a picture')), /no JPEG, PNG or HEIC/],
  ['nothing at all', () => Promise.resolve(Buffer.alloc(0)), /no JPEG, PNG or HEIC/],
  ['a WebP', () => solid(20, 20).webp().toBuffer(), /no JPEG, PNG or HEIC/],
  ['a GIF', () => solid(20, 20).gif().toBuffer(), /no JPEG, PNG or HEIC/],
  [
    'an SVG that would reach outside',
    () =>
      Promise.resolve(
        Buffer.from('<svg xmlns="http://www.w3.org/2000/svg"><image href="file:///etc/hostname"/></svg>'),
      ),
    /no JPEG, PNG or HEIC/,
  ],
  [
    'a JPEG that was cut short',
    async () => (await noisy(200, 150).jpeg().toBuffer()).subarray(0, 9000),
    /damaged or incomplete/,
  ],
  [
    'a PNG whose middle is gone',
    async () => withHole(await noisy(200, 150).png().toBuffer()),
    /damaged or incomplete/,
  ],
  [
    'a JPEG of its first bytes only',
    () => Promise.resolve(Buffer.from('ffd8ffe0', 'hex')),
    /damaged or incomplete/,
  ],
  [
    'a picture that would fill the memory',
    async () => claiming(16_000, await solid(20, 20).png().toBuffer()),
    /60 million/,
  ],
  ['the head of a HEIC and nothing behind it', () => Promise.resolve(heic()), /damaged or incomplete/],
];

export function noisy(width: number, height: number) {
  const data = Buffer.from(Array.from({ length: width * height * 3 }, (_, index) => (index * 7919) % 256));
  return sharp(data, { raw: { width, height, channels: 3 } });
}

/** A PNG whose head says that it is so many pixels wide and high. */
function claiming(side: number, png: Buffer): Buffer {
  png.writeUInt32BE(side, 16);
  png.writeUInt32BE(side, 20);
  png.writeUInt32BE(crc32(png.subarray(12, 29)), 29);
  return png;
}

function withHole(image: Buffer): Buffer {
  const middle = Math.floor(image.length / 2);
  return Buffer.concat([image.subarray(0, middle - 400), image.subarray(middle + 400)]);
}

/** The head of a HEIC file: its type box, and nothing behind it. */
function heic(): Buffer {
  const box = Buffer.alloc(24);
  box.writeUInt32BE(24, 0);
  box.write('ftypheic\0\0\0\0mif1heic', 4, 'latin1');
  return box;
}
