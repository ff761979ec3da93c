/** Segments that say how a JPEG is coded; every other may tell of the camera, the place or the time. */
const CODING = new Set([
  0xdb, 0xc4, 0xdd, 0xda, 0xc0, 0xc1, 0xc2, 0xc3, 0xc5, 0xc6, 0xc7, 0xc9, 0xca, 0xcb, 0xcd, 0xce, 0xcf, 0xcc,
]);
const JFIF = 0xe0;
const START_OF_SCAN = 0xda;
const END = 0xd9;

/**
 * Whether a file is a JPEG of three colors that holds its picture and nothing else: no text, no place, no profile, and
 * nothing behind its end.
 *
 * Source: ITU-T T.81 (markers, from memory).
 */
export function isPlainJpeg(image: Uint8Array): boolean {
  if (image[0] !== 0xff || image[1] !== 0xd8) return false;
  let at = 2;
  while (at + 4 <= image.length) {
    if (image[at] !== 0xff) return false;
    const marker = image[at + 1] ?? 0;
    if (marker === END) return at + 2 === image.length;
    const length = ((image[at + 2] ?? 0) << 8) | (image[at + 3] ?? 0);
    if (length < 2 || !isPlainSegment(marker, image.subarray(at + 4, at + 2 + length))) return false;
    at += 2 + length;
    if (marker === START_OF_SCAN) at = endOfScan(image, at);
  }
  return image[at] === 0xff && image[at + 1] === END && at + 2 === image.length;
}

function isPlainSegment(marker: number, content: Uint8Array): boolean {
  if (marker === JFIF) {
    // A thumbnail would be a second picture inside.
    const text = String.fromCharCode(...content.subarray(0, 5));
    return text === 'JFIF\0' && content[12] === 0 && content[13] === 0;
  }
  if (!CODING.has(marker)) return false;
  const isFrame = marker >= 0xc0 && marker <= 0xcf && ![0xc4, 0xc8, 0xcc].includes(marker);
  return !isFrame || content[5] === 3;
}

/** Where the coded picture ends: at the next marker that is neither a stuffed byte nor a restart. */
function endOfScan(image: Uint8Array, from: number): number {
  let at = from;
  while (at + 1 < image.length) {
    const next = image[at + 1] ?? 0;
    if (image[at] === 0xff && next !== 0 && !(next >= 0xd0 && next <= 0xd7)) return at;
    at += 1;
  }
  return at;
}
