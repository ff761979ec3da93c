import { componentsOf } from '../components.ts';
import { oklabInto } from '../oklab.ts';
import { median } from '../quantile.ts';
import type { Face } from '../rectify.ts';
import type { Coat } from './background.ts';

/** A trail of paint down a card. */
export interface Trail {
  /** Ends of the trail along its middle, mm from the card's top left corner: where the dot stood, and its front. */
  readonly from: readonly [number, number];
  readonly to: readonly [number, number];
  readonly lengthMm: number;
  readonly widthMm: number;
  /** How unsure the length is, mm. */
  readonly sdMm: number;
  /** Color as seen in the card's light, linear. */
  readonly rgb: readonly [number, number, number];
  /** Whether it ends at the card's own edge: it may have run on. */
  readonly isCut: boolean;
}

/** Paint differs from the coat by so much in OKLab. */
const DIFFERS = 0.055;
/** Smaller patches are splashes, mm2; gaps that glare leaves in a trail are no longer than this, mm. */
const LEAST_MM2 = 25;
const GAP_MM = 9;
/** A place is under glare when so much of its width is. */
const GLARE = 0.2;
/** Narrower than this share of its usual width a trail is a drip that ran on alone. */
const DRIP = 0.35;
/** A round end is narrower than that share over so much of its radius. */
const ROUND_END = 1 - Math.sqrt(1 - DRIP ** 2);
/** Widths are looked at in steps of this, mm, and of so many pixels: finer ones fall between the rows of the picture. */
const STEP_MM = 0.25;
const LEAST_STEP_PX = 2;
/** Two patches of one trail lie no farther apart sideways than this share of their width. */
const ASIDE = 0.9;
/** How exactly an end can be read: this many pixels of the photo, and the shadow of the paint's edge, mm. */
const END_PX = 0.8;
const END_MM = 0.2;

interface Patch {
  readonly pixels: number[];
  left: number;
  right: number;
  top: number;
  bottom: number;
}

/** All trails on a card, from left to right. */
export function trailsOf(face: Face, coat: Coat): Trail[] {
  const { width, height, pxPerMm } = face;
  const mask = paintMask(face, coat);
  const { of, label, area, count } = componentsOf(mask, width, height);
  const patches = Array.from({ length: count }, (): Patch => ({
    pixels: [],
    left: width,
    right: 0,
    top: height,
    bottom: 0,
  }));
  for (let at = 0; at < of.length; at += 1) {
    const index = of[at]!;
    if (label[index] !== 1 || area[index]! < 4) continue;
    const patch = patches[index]!;
    const [x, y] = [at % width, Math.floor(at / width)];
    patch.pixels.push(at);
    patch.left = Math.min(patch.left, x);
    patch.right = Math.max(patch.right, x);
    patch.top = Math.min(patch.top, y);
    patch.bottom = Math.max(patch.bottom, y);
  }
  const least = LEAST_MM2 * pxPerMm ** 2;
  return joined(
    patches.filter(({ pixels }) => pixels.length > 0),
    pxPerMm,
  )
    .filter(({ pixels }) => pixels.length >= least)
    .map((patch) => trailOf(patch, face, coat))
    .sort((a, b) => a.from[0] - b.from[0]);
}

/** 1 where something lies on the coat; the rim of the card, whose corners are never found to the pixel, is left out. */
function paintMask(face: Face, coat: Coat): Uint8Array {
  const { width, height, rgb, clipped, pxPerMm } = face;
  const mask = new Uint8Array(width * height);
  const lab = new Float32Array(6);
  const rim = Math.ceil(1.2 * pxPerMm);
  for (let y = rim; y < height - rim; y += 1) {
    for (let x = rim; x < width - rim; x += 1) {
      const at = y * width + x;
      if (clipped[at]) continue;
      const bare = coat(x, y);
      // Everything in the light of the place: a coat of one brightness, and paint as it is to it.
      const gain = 0.8 / Math.max(1e-3, (bare[0] + bare[1] + bare[2]) / 3);
      oklabInto(rgb[3 * at]! * gain, rgb[3 * at + 1]! * gain, rgb[3 * at + 2]! * gain, lab, 0);
      oklabInto(bare[0] * gain, bare[1] * gain, bare[2] * gain, lab, 3);
      if (Math.hypot(lab[0]! - lab[3]!, lab[1]! - lab[4]!, lab[2]! - lab[5]!) > DIFFERS) mask[at] = 1;
    }
  }
  return mask;
}

/** Patches that glare has cut apart are one trail again: one above the other, close, and as far along. */
function joined(patches: readonly Patch[], pxPerMm: number): Patch[] {
  const open = [...patches].sort((a, b) => b.pixels.length - a.pixels.length);
  const trails: Patch[] = [];
  for (const patch of open) {
    const middle = (patch.left + patch.right) / 2;
    const onto = trails.find((trail) => {
      const gap = Math.max(patch.top - trail.bottom, trail.top - patch.bottom);
      const aside = Math.abs(middle - (trail.left + trail.right) / 2);
      return gap < GAP_MM * pxPerMm && aside < (ASIDE * (trail.right - trail.left)) / 2;
    });
    if (!onto) {
      trails.push({ ...patch, pixels: [...patch.pixels] });
      continue;
    }
    for (const pixel of patch.pixels) onto.pixels.push(pixel);
    onto.left = Math.min(onto.left, patch.left);
    onto.right = Math.max(onto.right, patch.right);
    onto.top = Math.min(onto.top, patch.top);
    onto.bottom = Math.max(onto.bottom, patch.bottom);
  }
  return trails;
}

function trailOf({ pixels, top, bottom }: Patch, face: Face, coat: Coat): Trail {
  const { width, height, pxPerMm, rgb, clipped } = face;
  const xs = pixels.map((at) => (at % width) + 0.5);
  const ys = pixels.map((at) => Math.floor(at / width) + 0.5);
  const [cx, cy] = [mean(xs), mean(ys)];
  const [alongX, alongY] = axisOf(xs, ys, cx, cy);
  const along = xs.map((x, index) => (x - cx) * alongX + (ys[index]! - cy) * alongY);
  const step = Math.max(STEP_MM * pxPerMm, LEAST_STEP_PX);
  const first = along.reduce((least, each) => Math.min(least, each), Infinity);
  const last = along.reduce((most, each) => Math.max(most, each), -Infinity);
  const bins = new Float64Array(Math.ceil((last - first) / step) + 2);
  for (const each of along) {
    // Each pixel counts for the two steps it lies between.
    const place = (each - first) / step;
    const bin = Math.floor(place);
    bins[bin]! += (bin + 1 - place) / step;
    bins[bin + 1]! += (place - bin) / step;
  }
  const usual = median(Array.from(bins).filter((wide) => wide > 0));
  /** Whether glare lies over the trail there. */
  const isGlare = (bin: number): boolean => {
    const s = first + bin * step;
    let [full, all] = [0, 0];
    for (let aside = -usual / 2; aside <= usual / 2; aside += 1) {
      const x = Math.floor(cx + s * alongX - aside * alongY);
      const y = Math.floor(cy + s * alongY + aside * alongX);
      if (x < 0 || y < 0 || x >= width || y >= height) continue;
      all += 1;
      full += clipped[y * width + x]!;
    }
    return full > GLARE * all;
  };
  const [start, end] = coreOf(bins, DRIP * usual, GAP_MM * (pxPerMm / step), isGlare);
  // Between two steps the width grows evenly; what the round ends are narrower in is added again.
  const beyond = (ROUND_END * usual) / 2;
  const [a, b] = [first + start * step - beyond, first + end * step + beyond];
  const seen = pixels.filter((at) => !clipped[at]);
  const lit = seen.map((at) => {
    const bare = coat(at % width, Math.floor(at / width));
    const light = Math.max(1e-3, (bare[0] + bare[1] + bare[2]) / 3);
    return [0, 1, 2].map((channel) => (0.8 * rgb[3 * at + channel]!) / light);
  });
  const rim = 1.6 * pxPerMm;
  const place = (s: number): [number, number] => [(cx + s * alongX) / pxPerMm, (cy + s * alongY) / pxPerMm];
  return {
    ...{ from: place(a), to: place(b) },
    lengthMm: (b - a) / pxPerMm,
    widthMm: usual / pxPerMm,
    sdMm: Math.SQRT2 * Math.hypot(END_PX / face.photoPxPerMm, END_MM),
    rgb: [0, 1, 2].map((channel) => median(lit.map((each) => each[channel]!))) as [number, number, number],
    isCut: top < rim || bottom > height - rim,
  };
}

/** The way a trail runs, downward: the direction in which it is longest. */
function axisOf(xs: readonly number[], ys: readonly number[], cx: number, cy: number): [number, number] {
  let [xx, xy, yy] = [0, 0, 0];
  xs.forEach((x, index) => {
    const [dx, dy] = [x - cx, ys[index]! - cy];
    xx += dx * dx;
    xy += dx * dy;
    yy += dy * dy;
  });
  const angle = 0.5 * Math.atan2(2 * xy, xx - yy);
  const [x, y] = [Math.cos(angle), Math.sin(angle)];
  return y < 0 ? [-x, -y] : [x, y];
}

/** Longest stretch of a trail that is wide enough, or under glare for a while; in steps, as exactly as the width grows at its ends. */
function coreOf(
  bins: Float64Array,
  least: number,
  gap: number,
  isGlare: (bin: number) => boolean,
): [number, number] {
  let best: [number, number] = [0, 0];
  let from = -1;
  let last = -1;
  const close = () => {
    if (from >= 0 && last - from > best[1] - best[0]) best = [from, last];
    from = -1;
  };
  bins.forEach((wide, index) => {
    if (wide >= least) {
      if (from < 0) from = index;
      last = index;
    } else if (from >= 0 && !(index - last <= gap && isGlare(index))) close();
  });
  close();
  const [start, end] = best;
  const before = bins[start - 1] ?? 0;
  const after = bins[end + 1] ?? 0;
  const share = (outside: number, inside: number) =>
    inside > outside ? Math.min(1, Math.max(0, (least - outside) / (inside - outside))) : 0;
  return [start - 1 + share(before, bins[start]!), end + 1 - share(after, bins[end]!)];
}

const mean = (values: readonly number[]): number =>
  values.reduce((sum, value) => sum + value, 0) / Math.max(1, values.length);
