import { InputError } from '../../base/error/index.ts';

const START = [0xff, 0xd8];
/** JFIF 1.02 with its densities counted per inch, still empty, without a small picture. */
const SEGMENT = [0xff, 0xe0, 0, 16, 0x4a, 0x46, 0x49, 0x46, 0, 1, 2, 1, 0, 0, 0, 0, 0, 0] as const;
/** Of the segment: where its unit and its densities stand. */
const UNIT_AT = 11;
const DENSITIES_AT = [12, 14] as const;

/**
 * The same JPEG with its resolution written in (JFIF 1.02: unit and densities of the first segment, which is put in where
 * there is none).
 *
 * @throws InputError when it is no JPEG
 */
export function withJpegDensity(bytes: Uint8Array, dpi: number): Uint8Array {
  const begins = (from: number, signs: readonly number[]) =>
    signs.every((sign, index) => bytes[from + index] === sign);
  if (!begins(0, START)) throw new InputError('picture', 'This is no JPEG.');
  const hasSegment = begins(2, SEGMENT.slice(0, 2)) && begins(6, SEGMENT.slice(4, 9));
  const rest = bytes.subarray(START.length);
  const whole = Uint8Array.from([...START, ...(hasSegment ? [] : SEGMENT), ...rest]);
  whole[START.length + UNIT_AT] = SEGMENT[UNIT_AT];
  for (const at of DENSITIES_AT) {
    whole[START.length + at] = dpi >> 8;
    whole[START.length + at + 1] = dpi & 0xff;
  }
  return whole;
}

const PNG_HEAD = 33;
const MM_PER_INCH = 25.4;

/**
 * The same PNG with its resolution written in: a pHYs chunk after the header (PNG specification, 11.3.5.3).
 *
 * @throws InputError when it is no PNG
 */
export function withPngDensity(bytes: Uint8Array, dpi: number): Uint8Array {
  if (bytes[0] !== 0x89 || bytes[1] !== 0x50 || bytes.length < PNG_HEAD) {
    throw new InputError('picture', 'This is no PNG.');
  }
  const perMeter = Math.round((1000 * dpi) / MM_PER_INCH);
  const chunk = new Uint8Array(21);
  const view = new DataView(chunk.buffer);
  view.setUint32(0, 9);
  chunk.set([0x70, 0x48, 0x59, 0x73], 4);
  view.setUint32(8, perMeter);
  view.setUint32(12, perMeter);
  chunk[16] = 1;
  view.setUint32(17, crc32(chunk.subarray(4, 17)));
  const whole = new Uint8Array(bytes.length + chunk.length);
  whole.set(bytes.subarray(0, PNG_HEAD));
  whole.set(chunk, PNG_HEAD);
  whole.set(bytes.subarray(PNG_HEAD), PNG_HEAD + chunk.length);
  return whole;
}

/** The check sum of PNG chunks (ISO 3309, polynomial 0xedb88320). */
function crc32(bytes: Uint8Array): number {
  let crc = 0xffffffff;
  for (const byte of bytes) {
    crc ^= byte;
    for (let bit = 0; bit < 8; bit += 1) crc = crc & 1 ? (crc >>> 1) ^ 0xedb88320 : crc >>> 1;
  }
  return (crc ^ 0xffffffff) >>> 0;
}
