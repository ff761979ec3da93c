import type { Labels } from './labels.ts';
import type { Face } from './rectify.ts';

export const WARNING_CODES = [
  ...(['no-pour', 'foreign', 'colors-off'] as const),
  ...(['blurred', 'glare', 'veil', 'too-small', 'uneven-light'] as const),
] as const;
export type WarningCode = (typeof WARNING_CODES)[number];

export interface PhotoWarning {
  readonly code: WarningCode;
  readonly message: string;
}

export interface Quality {
  /** Spread of the blur, in pixels of the photo. */
  readonly blurPx: number;
  readonly glareShare: number;
  /** Share of the face that something else lies in front of, as a hand does. */
  readonly foreignShare: number;
  readonly mudShare: number;
  readonly baseShare: number;
  /** How many colors were looked for. */
  readonly colors: number;
  /** Colors that were looked for and hardly found. */
  readonly lost: readonly string[];
  /** Colors that are in the picture, but not clearly as which of its colors. */
  readonly asked: readonly string[];
  /** Share of smooth places whose color is none of the palette's. */
  readonly strangeShare: number;
  /** Pixels of the photo across a cell of usual size; null without cells. */
  readonly pxPerCell: number | null;
  /** Greatest over least light on the face. */
  readonly lightRatio: number;
}

/** Edges as long as this many pixels are needed before their width tells anything. */
const LEAST_EDGE_PX = 400;
/** Between 10 and 90 % a Gaussian edge is 2.563 standard deviations wide. */
const WIDTH_OF_SPREAD = 2.563;

/**
 * Spread of the blur from how many pixels are mixed, 10 to 90 %, for each pixel of border between labels.
 *
 * @returns pixels of the face; 0 when there is too little border to tell
 */
export function blurOf(labels: Labels, face: Face, unseen: Uint8Array): number {
  const { width, height } = face;
  const { first, second, cover } = labels;
  let mixed = 0;
  let border = 0;
  for (let y = 1; y < height - 1; y += 1) {
    for (let x = 1; x < width - 1; x += 1) {
      const pixel = y * width + x;
      if (unseen[pixel]) continue;
      if (cover[pixel]! < 230 && first[pixel] !== second[pixel]) mixed += 1;
      const crossing =
        Number(first[pixel] !== first[pixel + 1]) +
        Number(first[pixel] !== first[pixel + width]) +
        (Number(first[pixel] !== first[pixel + width + 1]) +
          Number(first[pixel] !== first[pixel + width - 1])) /
          Math.SQRT2;
      border += (Math.PI / 8) * crossing;
    }
  }
  if (border < LEAST_EDGE_PX) return 0;
  const spread = mixed / border / WIDTH_OF_SPREAD;
  // Looking from straight above blurs by itself, by about 0.85 pixels (measured on sharp pictures).
  return Math.sqrt(Math.max(0, spread ** 2 - 0.85 ** 2));
}

/** Where more of the face has none of the colors, it is another picture. */
const NO_POUR = 0.4;
const VEIL = 0.08;
/** Where half of the colors and at least so many are missing, it is as well. */
const MANY = 3;
const MOST = 0.75;
/** More mud than this, or less base, is more often a color that is off than a piece. */
const MUCH_MUD = 0.05;
const LITTLE_BASE = 0.02;
const CLICK_THEM = 'Click each color in the photo before you keep the numbers.';

/** A palette that is off makes colors change places without a sign: what looks like one. */
function colorsOff({ lost, asked, baseShare, mudShare }: Quality): string | undefined {
  const percent = (share: number) => `${(100 * share).toFixed(share < 0.1 ? 1 : 0)} %`;
  if (asked.length > 0) {
    return `${asked.join(', ')} ${asked.length === 1 ? 'isn’t' : 'aren’t'} in this photo as mixed.`;
  }
  if (baseShare < LITTLE_BASE)
    return `Only ${percent(baseShare)} of the face is base: its color may be another.`;
  if (lost.length > 0) return `Hardly anything of ${lost.join(', ')} was found: the color may be another.`;
  if (mudShare > MUCH_MUD) return `${percent(mudShare)} of the face would be mud: a color may be another.`;
  return undefined;
}

/** Whether it is a picture of something else; a veil of light hides colors too, but leaves strange ones. */
function isNoPour({ foreignShare, strangeShare, lost, colors }: Quality): boolean {
  if (foreignShare > NO_POUR) return true;
  const share = lost.length / colors;
  return lost.length >= MANY && (share >= MOST || (share >= 0.5 && strangeShare <= VEIL));
}

/** What the artist should know before trusting the numbers, each with what to do. */
export function warningsOf(quality: Quality): PhotoWarning[] {
  const found: PhotoWarning[] = [];
  const percent = (share: number) => `${(100 * share).toFixed(share < 0.1 ? 1 : 0)} %`;
  const noPour = isNoPour(quality);
  if (noPour) {
    const message =
      'This doesn’t look like the pour: most of its colors aren’t in the photo. Choose another photo, or click each color in this one.';
    found.push({ code: 'no-pour', message });
  }
  if (quality.foreignShare > 0 && !noPour) {
    found.push({
      code: 'foreign',
      message: `Something lies over ${percent(quality.foreignShare)} of the face, perhaps a hand or a tool. It was left out. If it’s paint, click its color.`,
    });
  }
  const off = noPour ? undefined : colorsOff(quality);
  if (off) found.push({ code: 'colors-off', message: `${off} ${CLICK_THEM}` });
  if (quality.blurPx > 1.5) {
    found.push({
      code: 'blurred',
      message: `The photo is blurred (${quality.blurPx.toFixed(1)} px): small cells and thin lacing are lost. Hold still, wipe the lens, or rest the camera.`,
    });
  }
  if (quality.glareShare > 0.02) {
    found.push({
      code: 'glare',
      message: `Light shines back from ${percent(quality.glareShare)} of the face, which was left out. Move the lamp to the side and take another.`,
    });
  }
  if (quality.strangeShare > VEIL) {
    found.push({
      code: 'veil',
      message: `${percent(quality.strangeShare)} of the face looks like none of the mixes: a veil of light, or colors that are missing from the list. Click each color in the photo, or take another without reflections.`,
    });
  }
  if (quality.pxPerCell !== null && quality.pxPerCell < 8) {
    found.push({
      code: 'too-small',
      message: `A usual cell is only ${quality.pxPerCell.toFixed(0)} pixels wide: count from 5, sizes from 8. Go closer or photograph a part.`,
    });
  }
  if (quality.lightRatio > 2.2) {
    found.push({
      code: 'uneven-light',
      message:
        'One side is more than twice as bright as the other. Turn the piece or use light from both sides.',
    });
  }
  return found;
}
