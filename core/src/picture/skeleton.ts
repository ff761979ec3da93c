/**
 * Length of the middle line of a mask, in pixels.
 *
 * Method: thinning by T. Zhang and C. Suen, "A Fast Parallel Algorithm for Thinning Digital Patterns", 1984 (from
 * memory); straight steps count 1 and
 * slanted ones √2.
 */
export function skeletonLength(mask: Uint8Array, width: number, height: number): number {
  const line = thinned(mask, width, height);
  let straight = 0;
  let slanted = 0;
  for (let y = 0; y < height - 1; y += 1) {
    for (let x = 1; x < width - 1; x += 1) {
      const pixel = y * width + x;
      if (!line[pixel]) continue;
      const right = line[pixel + 1]!;
      const below = line[pixel + width]!;
      straight += right + below;
      // A slanted step is one only where no straight way leads there.
      if (line[pixel + width + 1] && !right && !below) slanted += 1;
      if (line[pixel + width - 1] && !line[pixel - 1] && !below) slanted += 1;
    }
  }
  return straight + Math.SQRT2 * slanted;
}

export function thinned(mask: Uint8Array, width: number, height: number): Uint8Array {
  const line = Uint8Array.from(mask);
  let left: number[] = [];
  for (let y = 1; y < height - 1; y += 1) {
    for (let x = 1; x < width - 1; x += 1) if (line[y * width + x]) left.push(y * width + x);
  }
  for (let changed = true; changed;) {
    changed = false;
    for (const odd of [true, false]) {
      const gone = left.filter((pixel) => mayGo(line, pixel, width, odd));
      for (const pixel of gone) line[pixel] = 0;
      if (gone.length > 0) {
        changed = true;
        left = left.filter((pixel) => line[pixel]);
      }
    }
  }
  return line;
}

function mayGo(line: Uint8Array, pixel: number, width: number, odd: boolean): boolean {
  const n = line[pixel - width]!;
  const ne = line[pixel - width + 1]!;
  const e = line[pixel + 1]!;
  const se = line[pixel + width + 1]!;
  const s = line[pixel + width]!;
  const sw = line[pixel + width - 1]!;
  const w = line[pixel - 1]!;
  const nw = line[pixel - width - 1]!;
  const neighbors = n + ne + e + se + s + sw + w + nw;
  if (neighbors < 2 || neighbors > 6) return false;
  const rises =
    (1 - n) * ne +
    (1 - ne) * e +
    (1 - e) * se +
    (1 - se) * s +
    (1 - s) * sw +
    (1 - sw) * w +
    (1 - w) * nw +
    (1 - nw) * n;
  if (rises !== 1) return false;
  return odd ? n * e * s === 0 && e * s * w === 0 : n * e * w === 0 && n * s * w === 0;
}
