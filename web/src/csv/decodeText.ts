/** A text file as text, and how it was read. */
export interface DecodedText {
  readonly text: string;
  readonly encoding: 'UTF-8' | 'UTF-16' | 'Latin-1';
}

/**
 * Reads the bytes of a text file whatever program wrote it: by its byte-order mark, as UTF-16 where every other byte is
 * empty, as UTF-8 where it is valid, and else as Latin-1 (windows-1252, as older tables are written).
 *
 * Source: WHATWG Encoding Standard (labels, from memory).
 */
export function decodeText(bytes: Uint8Array): DecodedText {
  const [first, second] = bytes;
  const utf16 = (label: 'utf-16le' | 'utf-16be'): DecodedText => ({
    text: new TextDecoder(label).decode(bytes),
    encoding: 'UTF-16',
  });
  if (first === 0xff && second === 0xfe) return utf16('utf-16le');
  if (first === 0xfe && second === 0xff) return utf16('utf-16be');
  const sample = bytes.subarray(0, 4000);
  const empty = (parity: 0 | 1) =>
    sample.filter((byte, index) => index % 2 === parity && byte === 0).length /
    Math.max(1, sample.length / 2);
  if (empty(1) > 0.4) return utf16('utf-16le');
  if (empty(0) > 0.4) return utf16('utf-16be');
  try {
    return { text: new TextDecoder('utf-8', { fatal: true }).decode(bytes), encoding: 'UTF-8' };
  } catch {
    return { text: new TextDecoder('windows-1252').decode(bytes), encoding: 'Latin-1' };
  }
}
