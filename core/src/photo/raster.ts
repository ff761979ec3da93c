/** Small tools on masks: one byte a pixel, 1 where something is. */

/**
 * Squares of the distance from each pixel to the nearest pixel that is 0, exact.
 *
 * Method: lower envelopes of parabolas, P. Felzenszwalb and D. Huttenlocher, "Distance Transforms of Sampled
 * Functions", 2012 (from memory).
 */
export function squaredDistances(mask: Uint8Array, width: number, height: number): Float32Array {
  const FAR = 1e12;
  const out = new Float32Array(width * height);
  const longest = Math.max(width, height);
  const line = new Float64Array(longest);
  const parabola = new Int32Array(longest);
  const from = new Float64Array(longest + 1);
  const result = new Float64Array(longest);
  const pass = (count: number) => {
    let last = 0;
    parabola[0] = 0;
    from[0] = -FAR;
    from[1] = FAR;
    for (let q = 1; q < count; q += 1) {
      let meets = crossing(q, parabola[last]!);
      while (meets <= from[last]!) {
        last -= 1;
        meets = crossing(q, parabola[last]!);
      }
      last += 1;
      parabola[last] = q;
      from[last] = meets;
      from[last + 1] = FAR;
    }
    let at = 0;
    for (let q = 0; q < count; q += 1) {
      while (from[at + 1]! < q) at += 1;
      const off = q - parabola[at]!;
      result[q] = off * off + line[parabola[at]!]!;
    }
  };
  const crossing = (q: number, p: number) => (line[q]! + q * q - (line[p]! + p * p)) / (2 * q - 2 * p);
  for (let x = 0; x < width; x += 1) {
    for (let y = 0; y < height; y += 1) line[y] = mask[y * width + x] ? FAR : 0;
    pass(height);
    for (let y = 0; y < height; y += 1) out[y * width + x] = result[y]!;
  }
  for (let y = 0; y < height; y += 1) {
    const row = y * width;
    for (let x = 0; x < width; x += 1) line[x] = out[row + x]!;
    pass(width);
    for (let x = 0; x < width; x += 1) out[row + x] = result[x]!;
  }
  return out;
}

/** The mask grown by a radius in pixels. */
export function grown(mask: Uint8Array, width: number, height: number, radius: number): Uint8Array {
  const inverse = mask.map((value) => (value ? 0 : 1));
  const squares = squaredDistances(inverse, width, height);
  return mask.map((value, pixel) => (value || squares[pixel]! <= radius * radius ? 1 : 0));
}

/** What is left of the mask when a disc of this radius must fit inside it (opening). */
export function opened(mask: Uint8Array, width: number, height: number, radius: number): Uint8Array {
  const inside = squaredDistances(mask, width, height);
  const kept = mask.map((_, pixel) => (inside[pixel]! > radius * radius ? 1 : 0));
  const back = grown(kept, width, height, radius);
  return back.map((value, pixel) => (value && mask[pixel] ? 1 : 0));
}

export function countOf(mask: Uint8Array): number {
  let count = 0;
  for (const value of mask) count += value;
  return count;
}
