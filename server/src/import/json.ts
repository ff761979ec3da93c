import { holdsOldNames, withNewNames } from '@icy-ribbon/contract';

/** Deeper than this lies nothing that was written here. */
const MOST_DEPTH = 60;
/** More lists and records than this are in no file that was written here. */
const MOST_PARTS = 12_000_000;

const [QUOTE, BACKSLASH] = [0x22, 0x5c];
const [OPEN_LIST, OPEN_RECORD] = [0x5b, 0x7b];
const [CLOSE_LIST, CLOSE_RECORD] = [0x5d, 0x7d];

/**
 * Reads JSON that came from outside. How deep and of how many parts it is, is counted before anything of it is built: a
 * file of brackets alone would fill the memory, or take minutes.
 *
 * @returns undefined when it is no JSON, or deeper or of more parts than anything that is written here
 */
export function parseJson(bytes: Buffer): unknown {
  if (!isBounded(bytes)) return undefined;
  try {
    const text = bytes.toString('utf8');
    const value: unknown = JSON.parse(text);
    return holdsOldNames(text) ? withNewNames(value) : value;
  } catch {
    return undefined;
  }
}

function isBounded(bytes: Buffer): boolean {
  let [depth, parts] = [0, 0];
  for (let at = 0; at < bytes.length; at += 1) {
    const byte = bytes[at]!;
    if (byte === QUOTE) at = endOfText(bytes, at);
    else if (byte === OPEN_LIST || byte === OPEN_RECORD) {
      depth += 1;
      parts += 1;
      if (depth > MOST_DEPTH || parts > MOST_PARTS) return false;
    } else if (byte === CLOSE_LIST || byte === CLOSE_RECORD) depth -= 1;
  }
  return true;
}

/** Where the text that begins at a quote ends: at the next one that no odd number of backslashes stands before. */
function endOfText(bytes: Buffer, from: number): number {
  for (let at = bytes.indexOf(QUOTE, from + 1); at >= 0; at = bytes.indexOf(QUOTE, at + 1)) {
    let before = at;
    while (bytes[before - 1] === BACKSLASH) before -= 1;
    if ((at - before) % 2 === 0) return at;
  }
  return bytes.length;
}
