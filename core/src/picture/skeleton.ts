/**
 * Length of the middle line of a mask, in pixels.
 *
 * Method: thinning by T. Zhang and C. Suen, "A Fast Parallel Algorithm for Thinning Digital Patterns", 1984 (from
 * memory), eroding at three neighbors and more, since at two a slanted line of even width vanishes; corners of stairs
 * taken out, since they count a slanted step double. A digital line has max(|cos|, |sin|) pixels for each pixel of its
 * length: every pixel counts by the direction of the line around it.
 */
export function skeletonLength(mask: Uint8Array, width: number, height: number): number {
  const whole = withoutStairs(thinned(mask, width, height), width, height);
  const pixels = whole.reduce((sum, value) => sum + value, 0);
  if (pixels === 0) return 0;
  const strokePx = mask.reduce((sum, value) => sum + value, 0) / pixels;
  const line = pruned(whole, Math.ceil(strokePx), width);
  let length = 0;
  for (let y = 0; y < height; y += 1) {
    for (let x = 0; x < width; x += 1) {
      const pixel = y * width + x;
      if (!line[pixel]) continue;
      const way = directionHere(line, width, height, x, y);
      length += 1 / Math.max(Math.abs(way.x), Math.abs(way.y));
      if (isEnd(line, pixel, width)) length += reachBeyond(mask, width, height, { x, y }, way);
    }
  }
  return length;
}

const neighborsOf = (line: Uint8Array, pixel: number, width: number): number =>
  line[pixel - width - 1]! +
  line[pixel - width]! +
  line[pixel - width + 1]! +
  line[pixel - 1]! +
  line[pixel + 1]! +
  line[pixel + width - 1]! +
  line[pixel + width]! +
  line[pixel + width + 1]!;

const isEnd = (line: Uint8Array, pixel: number, width: number): boolean =>
  neighborsOf(line, pixel, width) === 1;

/** Takes so many pixels off every end: thinning leaves forks and spurs there. Lines that would vanish stay whole. */
function pruned(line: Uint8Array, steps: number, width: number): Uint8Array {
  const left = Uint8Array.from(line);
  let on: number[] = [];
  left.forEach((value, pixel) => value && on.push(pixel));
  for (let step = 0; step < steps; step += 1) {
    const ends = on.filter((pixel) => isEnd(left, pixel, width));
    // The last two pixels of a line are both ends: they stay.
    const gone = ends.filter((pixel) => !ends.some((other) => other !== pixel && touch(pixel, other, width)));
    for (const pixel of gone) left[pixel] = 0;
    if (gone.length > 0) on = on.filter((pixel) => left[pixel]);
  }
  return left;
}

const touch = (a: number, b: number, width: number): boolean => {
  const [ax, bx] = [a % width, b % width];
  return Math.abs(ax - bx) <= 1 && Math.abs((a - ax) / width - (b - bx) / width) <= 1;
};

/** How far the mask goes on beyond the end of its line, along the line. */
function reachBeyond(
  mask: Uint8Array,
  width: number,
  height: number,
  from: { readonly x: number; readonly y: number },
  way: { readonly x: number; readonly y: number; readonly outward: number },
): number {
  const STEP = 0.5;
  let gone = 0;
  for (;;) {
    gone += STEP;
    const x = Math.round(from.x + way.outward * way.x * gone);
    const y = Math.round(from.y + way.outward * way.y * gone);
    if (x < 0 || y < 0 || x >= width || y >= height || !mask[y * width + x]) return gone - STEP;
  }
}

/** The direction of a line is seen this far around a pixel. */
const REACH_PX = 5;

/** The principal direction of the line around a pixel, and on which side of it the line has come to its end. */
function directionHere(line: Uint8Array, width: number, height: number, x: number, y: number) {
  let [count, sumX, sumY, xx, xy, yy] = [0, 0, 0, 0, 0, 0];
  for (let dy = Math.max(-REACH_PX, -y); dy <= Math.min(REACH_PX, height - 1 - y); dy += 1) {
    for (let dx = Math.max(-REACH_PX, -x); dx <= Math.min(REACH_PX, width - 1 - x); dx += 1) {
      if (!line[(y + dy) * width + x + dx]) continue;
      count += 1;
      sumX += dx;
      sumY += dy;
      xx += dx * dx;
      xy += dx * dy;
      yy += dy * dy;
    }
  }
  const [varX, varY, both] = [xx - sumX ** 2 / count, yy - sumY ** 2 / count, xy - (sumX * sumY) / count];
  const angle = 0.5 * Math.atan2(2 * both, varX - varY);
  const way = { x: Math.cos(angle), y: Math.sin(angle) };
  return { ...way, outward: way.x * sumX + way.y * sumY > 0 ? -1 : 1 };
}

/** Takes out pixels that only turn a slanted step into two straight ones. */
function withoutStairs(line: Uint8Array, width: number, height: number): Uint8Array {
  for (let y = 1; y < height - 1; y += 1) {
    for (let x = 1; x < width - 1; x += 1) {
      const pixel = y * width + x;
      if (!line[pixel]) continue;
      const [n, e, s, w] = [line[pixel - width]!, line[pixel + 1]!, line[pixel + width]!, line[pixel - 1]!];
      const [ne, se] = [line[pixel - width + 1]!, line[pixel + width + 1]!];
      const [sw, nw] = [line[pixel + width - 1]!, line[pixel - width - 1]!];
      // Two neighbors side by side touch each other slantwise; nothing else hangs on the corner.
      const isCorner =
        (n && e && !(s + w + sw)) ||
        (e && s && !(w + n + nw)) ||
        (s && w && !(n + e + ne)) ||
        (w && n && !(e + s + se));
      if (isCorner) line[pixel] = 0;
    }
  }
  return line;
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

const LEAST_NEIGHBORS = 3;

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
  if (neighbors < LEAST_NEIGHBORS || neighbors > 6) return false;
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
