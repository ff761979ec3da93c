/** Small tools on masks: one byte a pixel, 1 where something is. */

/**
 * Squares of the distance from each pixel to the nearest pixel that is 0, exact.
 *
 * Method: lower envelopes of parabolas, P. Felzenszwalb and D. Huttenlocher, "Distance Transforms of Sampled
 * Functions", 2012 (from memory).
 */
export function squaredDistances(mask: Uint8Array, width: number, height: number): Float32Array {
  const out = columnDistances(mask, width, height);
  const line = new Float64Array(width);
  const parabola = new Int32Array(width);
  const from = new Float64Array(width + 1);
  const crossing = (q: number, p: number) => (line[q]! + q * q - (line[p]! + p * p)) / (2 * q - 2 * p);
  for (let y = 0; y < height; y += 1) {
    const row = y * width;
    let inside = 0;
    for (let x = 0; x < width; x += 1) {
      line[x] = out[row + x]!;
      if (line[x]! > 0) inside += 1;
    }
    if (inside === 0) continue;
    let last = 0;
    parabola[0] = 0;
    from[0] = -FAR;
    from[1] = FAR;
    for (let q = 1; q < width; q += 1) {
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
    for (let q = 0; q < width; q += 1) {
      while (from[at + 1]! < q) at += 1;
      const off = q - parabola[at]!;
      out[row + q] = off * off + line[parabola[at]!]!;
    }
  }
  return out;
}

const FAR = 1e12;

/** Squares of the distance to the nearest 0 in the same column, by a sweep down and one up. */
function columnDistances(mask: Uint8Array, width: number, height: number): Float32Array {
  const out = new Float32Array(width * height);
  const steps = new Int32Array(width).fill(100_000);
  for (let y = 0; y < height; y += 1) {
    for (let x = 0; x < width; x += 1) {
      const pixel = y * width + x;
      steps[x] = mask[pixel] ? steps[x]! + 1 : 0;
      out[pixel] = steps[x]!;
    }
  }
  steps.fill(100_000);
  for (let y = height - 1; y >= 0; y -= 1) {
    for (let x = 0; x < width; x += 1) {
      const pixel = y * width + x;
      steps[x] = mask[pixel] ? steps[x]! + 1 : 0;
      const least = Math.min(out[pixel]!, steps[x]!);
      out[pixel] = least >= 100_000 ? FAR : least * least;
    }
  }
  return out;
}

/** The mask grown by a radius in pixels. */
export function grown(mask: Uint8Array, width: number, height: number, radius: number): Uint8Array {
  return onBox(mask, width, height, radius, (part, w, h) => {
    const squares = squaredDistances(
      part.map((value) => 1 - value),
      w,
      h,
    );
    return part.map((_, pixel) => (squares[pixel]! <= radius * radius ? 1 : 0));
  });
}

/** What is left of the mask when a disc of this radius must fit inside it (opening). */
export function opened(mask: Uint8Array, width: number, height: number, radius: number): Uint8Array {
  return onBox(mask, width, height, 1, (part, w, h) => {
    const inside = squaredDistances(part, w, h);
    const back = squaredDistances(
      part.map((_, pixel) => (inside[pixel]! > radius * radius ? 0 : 1)),
      w,
      h,
    );
    return part.map((value, pixel) => (value && back[pixel]! <= radius * radius ? 1 : 0));
  });
}

/** Works on the part of the picture that holds the mask, and this margin around it. */
function onBox(
  mask: Uint8Array,
  width: number,
  height: number,
  margin: number,
  work: (part: Uint8Array, width: number, height: number) => Uint8Array,
): Uint8Array {
  const out = new Uint8Array(mask.length);
  const first = mask.indexOf(1);
  if (first < 0) return out;
  const more = Math.ceil(margin);
  let left = width;
  let right = 0;
  for (let y = 0; y < height; y += 1) {
    const row = mask.subarray(y * width, (y + 1) * width);
    const start = row.indexOf(1);
    if (start < 0) continue;
    left = Math.min(left, start);
    right = Math.max(right, row.lastIndexOf(1));
  }
  const top = Math.max(0, Math.floor(first / width) - more);
  const bottom = Math.min(height - 1, Math.floor(mask.lastIndexOf(1) / width) + more);
  left = Math.max(0, left - more);
  right = Math.min(width - 1, right + more);
  const w = right - left + 1;
  const h = bottom - top + 1;
  const part = new Uint8Array(w * h);
  for (let y = 0; y < h; y += 1) {
    const from = (top + y) * width + left;
    part.set(mask.subarray(from, from + w), y * w);
  }
  const done = work(part, w, h);
  for (let y = 0; y < h; y += 1) out.set(done.subarray(y * w, (y + 1) * w), (top + y) * width + left);
  return out;
}
