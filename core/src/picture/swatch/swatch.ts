import { InputError } from '../../base/error/index.ts';
import { colorDifference } from '../../paint/color/index.ts';
import { hexOf } from '../../paint/color/oklab.ts';
import type { PhotoPixels, Point } from '../photo.ts';
import { patchAt, type Patch } from './patch.ts';

export interface SwatchInput {
  /** Places on a gray card, in pixels of the photo: one, or two with the color between them. */
  readonly card: readonly Point[];
  /** Lightness L* of the card; 50 of the usual gray card (18 % of the light). */
  readonly cardLightness: number;
  /** The color that is wanted. */
  readonly at: Point;
}

/** Why the color may be farther off. */
export const SWATCH_WARNINGS = ['far', 'cast', 'glare', 'uneven', 'brilliant'] as const;

export interface SwatchWarning {
  readonly code: (typeof SWATCH_WARNINGS)[number];
  readonly message: string;
}

export interface SwatchColor {
  /** As #rrggbb. */
  readonly hex: string;
  /** Nine of ten such colors lie within this of the truth, CIEDE2000. */
  readonly withinDe: number;
  readonly warnings: readonly SwatchWarning[];
}

/** A card darker than this in the picture tells little. */
const DARK = 0.012;
/** Quarters of a patch that differ by more: it has an edge in it. */
const EDGE = 0.12;
/** The farther card and color lie apart, the less they are in one light: ln of light over the photo's diagonal, with one place on the card, and with two. */
const FALL_OFF = 0.3;
const FALL_OFF_BETWEEN = 0.1;
const LEAST_LIGHT = 0.015;
/** How an ordinary camera bends light away from the gray: ln for each ln. From memory. */
const CURVE = 0.07;
/** How far an ordinary camera is off by hue and strength once gray is gray, CIEDE2000, one standard deviation along each of three ways. From memory. */
const CAMERA_DE = 1.3;
/** Of three alike spreads nine in ten lie within this many of one, of one alone within that many. */
const IN_THREE = 2.5;
const IN_ONE = 1.645;
/** Light whose strongest channel is so much stronger than the weakest is no daylight. */
const CAST = 2.6;
const MUCH_GLARE = 0.3;
const UNEVEN_DE = 3;

/**
 * The color of a swatch, a dried dot or a paint on a picture with a gray card in it.
 *
 * Law: each channel times what makes the card gray of its lightness, at the place of the color (von Kries in sRGB's own primaries); means of patches in linear
 * light, highlights left out.
 *
 * @throws InputError (field "card" or "place") with what to do when the picture does not carry it
 */
export function swatchColor(photo: PhotoPixels, input: SwatchInput): SwatchColor {
  const { card, cardLightness, at } = input;
  if (card.length < 1 || card.length > 2) throw new InputError('card', 'Click the gray card.');
  if (!(cardLightness >= 20 && cardLightness <= 97)) {
    throw new InputError('card', 'The lightness of the card lies between 20 and 97; 50 is the usual gray.');
  }
  const cards = card.map((place) => patchAt(photo, place, 'the gray card'));
  const own = patchAt(photo, at, 'the color');
  for (const { rgb, unevenness } of cards) {
    if (Math.min(...rgb) < DARK)
      throw new InputError('card', 'The gray card is too dark in this picture: take it lighter.');
    if (unevenness > EDGE)
      throw new InputError('card', 'The card is not even there: click well inside it, away from its edge.');
  }
  const gray = ((cardLightness + 16) / 116) ** 3;
  const light = lightAt(cards, card, at);
  const rgb = own.rgb.map((value, channel) => (value * gray) / light[channel]!) as [number, number, number];
  const hex = hexOf(...rgb);
  const lightSd = Math.hypot(
    lightSdOf(photo, card, at),
    CURVE * Math.abs(Math.log(Math.max(0.003, rgb[1]) / gray)),
  );
  return {
    hex,
    withinDe: Math.hypot(IN_ONE * differenceOf(rgb, lightSd), IN_THREE * CAMERA_DE),
    warnings: warningsOf({ photo, cards, own, card, at, rgb, light }),
  };
}

/** Light at the place of the color: that on the card; between two places on it, in proportion. */
function lightAt(
  cards: readonly Patch[],
  places: readonly Point[],
  [x, y]: Point,
): readonly [number, number, number] {
  const [first, second] = cards as [Patch, Patch | undefined];
  if (!second) return first.rgb;
  const [[ax, ay], [bx, by]] = places as [Point, Point];
  const square = (bx - ax) ** 2 + (by - ay) ** 2;
  const share = square > 0 ? ((x - ax) * (bx - ax) + (y - ay) * (by - ay)) / square : 0.5;
  const within = Math.min(1.2, Math.max(-0.2, share));
  return first.rgb.map(
    (value, channel) => value * (second.rgb[channel]! / value) ** within,
  ) as unknown as readonly [number, number, number];
}

function lightSdOf({ widthPx, heightPx }: PhotoPixels, card: readonly Point[], at: Point): number {
  const nearest = Math.min(...card.map(([x, y]) => Math.hypot(x - at[0], y - at[1])));
  const fall = card.length > 1 ? FALL_OFF_BETWEEN : FALL_OFF;
  return Math.max(LEAST_LIGHT, (fall * nearest) / Math.hypot(widthPx, heightPx));
}

/** What a change of light of one standard deviation does to a color, CIEDE2000. */
function differenceOf(rgb: readonly [number, number, number], sdLn: number): number {
  const times = (factor: number) =>
    hexOf(...(rgb.map((value) => value * factor) as [number, number, number]));
  return colorDifference(times(Math.exp(sdLn)), times(Math.exp(-sdLn))) / 2;
}

function warningsOf(given: {
  readonly photo: PhotoPixels;
  readonly cards: readonly Patch[];
  readonly own: Patch;
  readonly card: readonly Point[];
  readonly at: Point;
  readonly rgb: readonly [number, number, number];
  readonly light: readonly [number, number, number];
}): SwatchWarning[] {
  const { photo, own, card, at, rgb, light } = given;
  const found: SwatchWarning[] = [];
  if (lightSdOf(photo, card, at) > 0.06) {
    found.push({
      code: 'far',
      message: 'The card lies far from the color: lay it beside it, or click it on the other side as well.',
    });
  }
  if (Math.max(...light) > CAST * Math.min(...light)) {
    found.push({ code: 'cast', message: 'The light is strongly colored: take it by daylight.' });
  }
  if (own.leftOut > MUCH_GLARE) {
    found.push({
      code: 'glare',
      message: 'Light shines back from the color: turn it, or move the lamp to the side.',
    });
  }
  const quarters = own.quarters.map((quarter) =>
    hexOf(
      ...(quarter.map((value, channel) => (value * rgb[channel]!) / own.rgb[channel]!) as [
        number,
        number,
        number,
      ]),
    ),
  );
  if (quarters.some((hex) => colorDifference(hex, hexOf(...rgb)) > UNEVEN_DE)) {
    found.push({ code: 'uneven', message: 'The color is not even there: click an even place of it.' });
  }
  if (Math.max(...rgb) > 1.03) {
    found.push({
      code: 'brilliant',
      message: 'The color is lighter or more brilliant than a screen can show: the nearest was taken.',
    });
  }
  return found;
}
