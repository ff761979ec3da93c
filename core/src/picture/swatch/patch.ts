import { sampleStandardDeviation } from 'simple-statistics';
import { InputError } from '../../base/error/index.ts';
import { LINEAR_OF_BYTE } from '../../paint/color/oklab.ts';
import type { PhotoPixels, Point } from '../photo.ts';
import { median } from '../quantile.ts';

/** What lies around a place of a photo: its mean in linear light, without highlights. */
export interface Patch {
  readonly rgb: readonly [number, number, number];
  /** Standard deviation of its light, as a share of it. */
  readonly unevenness: number;
  /** Means of its four quarters. */
  readonly quarters: readonly (readonly [number, number, number])[];
  /** Share of its pixels that was left out: full, or much brighter than the rest. */
  readonly leftOut: number;
}

/** A patch reaches so far around a place, as a share of the photo's longer side. */
const REACH = 1 / 110;
const LEAST_REACH_PX = 3;
const FULL = 252;
/** Brighter than the middle by so many usual differences is a highlight; at least by this share. */
const HIGHLIGHT = 4;
const LEAST_HIGHLIGHT = 0.06;

/**
 * @param what the patch is called where something is wrong with it
 * @throws InputError (field "place") when it is outside the photo, or full for the most part
 */
export function patchAt(photo: PhotoPixels, [x, y]: Point, what: string): Patch {
  const { widthPx, heightPx, channels, data } = photo;
  const reach = Math.max(LEAST_REACH_PX, Math.round(REACH * Math.max(widthPx, heightPx)));
  const pixels: { readonly rgb: [number, number, number]; readonly quarter: number }[] = [];
  let all = 0;
  for (let row = Math.floor(y) - reach; row <= y + reach; row += 1) {
    for (let column = Math.floor(x) - reach; column <= x + reach; column += 1) {
      if (row < 0 || column < 0 || row >= heightPx || column >= widthPx) continue;
      if (Math.hypot(column - x, row - y) > reach) continue;
      all += 1;
      const at = (row * widthPx + column) * channels;
      const [r, g, b] = [data[at]!, data[at + 1]!, data[at + 2]!];
      if (Math.max(r, g, b) >= FULL) continue;
      const quarter = Number(column > x) + 2 * Number(row > y);
      pixels.push({ rgb: [LINEAR_OF_BYTE[r]!, LINEAR_OF_BYTE[g]!, LINEAR_OF_BYTE[b]!], quarter });
    }
  }
  if (all === 0) throw new InputError('place', `Click ${what} in the picture.`);
  if (pixels.length < 0.3 * all) {
    throw new InputError('place', `${upper(what)} is too bright in this picture: take it darker.`);
  }
  const lightOf = ([r, g, b]: readonly [number, number, number]) => 0.2126 * r + 0.7152 * g + 0.0722 * b;
  const lights = pixels.map(({ rgb }) => lightOf(rgb));
  const middle = median(lights);
  const usual = 1.48 * median(lights.map((light) => Math.abs(light - middle)));
  const most = middle + Math.max(HIGHLIGHT * usual, LEAST_HIGHLIGHT * middle);
  const kept = pixels.filter((_, index) => lights[index]! <= most);
  const rgb = meanOf(kept.map((pixel) => pixel.rgb));
  const quarters = [0, 1, 2, 3].flatMap((wanted) => {
    const own = kept.filter(({ quarter }) => quarter === wanted);
    return own.length > 4 ? [meanOf(own.map((pixel) => pixel.rgb))] : [];
  });
  return {
    rgb,
    quarters,
    unevenness:
      quarters.length < 2 ? 0 : sampleStandardDeviation(quarters.map(lightOf)) / Math.max(1e-4, lightOf(rgb)),
    leftOut: 1 - kept.length / all,
  };
}

const upper = (what: string): string => what[0]!.toUpperCase() + what.slice(1);

function meanOf(colors: readonly (readonly [number, number, number])[]): [number, number, number] {
  const sum = [0, 0, 0];
  for (const color of colors) color.forEach((value, channel) => (sum[channel]! += value));
  return sum.map((value) => value / Math.max(1, colors.length)) as [number, number, number];
}
