/**
 * Ids on pages that came over an unencrypted line from another machine: browsers keep `crypto.randomUUID` from these,
 * but not the random numbers that it is made of (RFC 9562, version 4).
 */
export function makeIdsEverywhere(): void {
  if (typeof crypto.randomUUID === 'function') return;
  crypto.randomUUID = () => {
    const bytes = crypto.getRandomValues(new Uint8Array(16));
    bytes[6] = (bytes[6]! & 0x0f) | 0x40;
    bytes[8] = (bytes[8]! & 0x3f) | 0x80;
    const hex = Array.from(bytes, (byte) => byte.toString(16).padStart(2, '0')).join('');
    const [a, b, c, d, e] = [0, 8, 12, 16, 20].map((from, at, all) => hex.slice(from, all[at + 1])) as [
      string,
      string,
      string,
      string,
      string,
    ];
    return `${a}-${b}-${c}-${d}-${e}`;
  };
}
