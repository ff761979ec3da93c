import { InputError } from '../../base/error/index.ts';
import { linearRgb, oklabInto } from '../oklab.ts';
import type { Corners, PhotoPixels } from '../photo.ts';
import { rectify } from '../rectify.ts';
import { coatOf } from './background.ts';
import { trailsOf, type Trail } from './trails.ts';

export interface RaceInput {
  /** The card's corners in the photo, pixels: top left, top right, bottom right, bottom left; the dots stood at its top. */
  readonly corners: Corners;
  readonly widthMm: number;
  readonly heightMm: number;
  /** Cups that were raced, by the color of their wet paint. */
  readonly lanes: readonly { readonly key: string; readonly hex: string }[];
}

/** A lane as it was measured. */
export interface RacedLane extends Trail {
  readonly key: string;
}

/** Why a picture tells less than it should. */
export const RACE_WARNINGS = ['lanes', 'alike', 'cut', 'short', 'soft'] as const;
export type RaceWarning = (typeof RACE_WARNINGS)[number];

export interface MeasuredRace {
  /** From left to right; each cup's once. */
  readonly lanes: readonly RacedLane[];
  readonly warnings: readonly RaceWarning[];
}

/** Trails shorter than so many of their widths tell little of how thick a paint is. */
const SHORT = 1.5;
/** Fewer pixels of the photo to a millimeter than this read ends too coarsely. */
const SOFT_PX = 2;
/** Two ways to give the trails to the cups that differ by less, in OKLab for a lane, cannot be told apart by color. */
const ALIKE = 0.02;

/**
 * Measures a tilt race on one picture of its card, after the card was laid flat.
 *
 * Law: the card is seen straight from above by its corners; paint is what differs from the light of the bare coat; a lane is as long as its trail
 * along its own middle, from where the dot stood to its front, drips that ran on alone left out. Trails go to the cups whose colors they match
 * best in all.
 *
 * @throws InputError (field "corners" or "lanes") with what to change
 */
export function measureRace(photo: PhotoPixels, input: RaceInput): MeasuredRace {
  const { lanes, corners, widthMm, heightMm } = input;
  if (lanes.length < 2 || lanes.length > 6) {
    throw new InputError('lanes', 'A card has two to six lanes.');
  }
  const face = rectify(photo, { corners, widthMm, heightMm });
  const found = trailsOf(face, coatOf(face));
  if (found.length < lanes.length) {
    throw new InputError(
      'lanes',
      found.length === 0
        ? 'No paint can be told from the card. Take a card of another color than the paints, in even light.'
        : `Only ${found.length} of ${lanes.length} lanes can be told from the card. Take a card of another color than the paints, in even light, or type how far these ran.`,
    );
  }
  // Splashes are smaller than lanes.
  const trails = [...found]
    .sort((a, b) => b.lengthMm * b.widthMm - a.lengthMm * a.widthMm)
    .slice(0, lanes.length)
    .sort((a, b) => a.from[0] - b.from[0]);
  const { order, isSure } = matched(trails, lanes);
  const warnings: RaceWarning[] = [];
  if (found.length > lanes.length) warnings.push('lanes');
  if (!isSure) warnings.push('alike');
  if (trails.some(({ isCut }) => isCut)) warnings.push('cut');
  if (trails.some(({ lengthMm, widthMm: wide }) => lengthMm < SHORT * wide)) warnings.push('short');
  if (face.photoPxPerMm < SOFT_PX) warnings.push('soft');
  return { lanes: trails.map((trail, at) => ({ ...trail, key: lanes[order[at]!]!.key })), warnings };
}

/** Which cup each trail is of: the way to give them out whose colors are nearest in all. */
function matched(
  trails: readonly Trail[],
  lanes: RaceInput['lanes'],
): { readonly order: readonly number[]; readonly isSure: boolean } {
  const lab = (rgb: readonly [number, number, number]) => {
    const out = new Float32Array(3);
    oklabInto(...rgb, out, 0);
    return out;
  };
  const seen = trails.map(({ rgb }) => lab(rgb));
  const wanted = lanes.map(({ hex }) => lab(linearRgb(hex)));
  // How light paints look depends on the camera: their hue and strength count more.
  const far = seen.map((a) =>
    wanted.map((b) => Math.hypot(0.5 * (a[0]! - b[0]!), a[1]! - b[1]!, a[2]! - b[2]!)),
  );
  let [best, second] = [Infinity, Infinity];
  let order: readonly number[] = [];
  for (const way of waysOf(lanes.length)) {
    const sum = way.reduce((all, cup, trail) => all + far[trail]![cup]!, 0);
    if (sum < best) [best, second, order] = [sum, best, way];
    else if (sum < second) second = sum;
  }
  return { order, isSure: second - best > ALIKE };
}

function waysOf(count: number): number[][] {
  if (count === 0) return [[]];
  return waysOf(count - 1).flatMap((way) =>
    Array.from({ length: count }, (_, at) => way.toSpliced(at, 0, count - 1)),
  );
}
