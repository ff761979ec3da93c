import { InputError } from '../../base/error/index.ts';
import { clampChroma, formatHex, toLch } from './modes.ts';

/** How a color moves while it dries: lightness, chroma and hue of CIE LCh (D65). */
export interface ColorShift {
  readonly dL: number;
  readonly dC: number;
  /** Degrees, -180 up to 180; 0 for grays. */
  readonly dh: number;
}

const GRAY_CHROMA = 2;

/**
 * The shift from a wet to a dry color.
 *
 * @throws InputError naming "wet" or "dry"
 * @example colorShift('#6f93a8', '#5f8299').dL // -6.425
 */
export function colorShift(wetHex: string, dryHex: string): ColorShift {
  const [wet, dry] = [toLch(wetHex), toLch(dryHex)];
  if (!wet) throw new InputError('wet', `"${wetHex}" is no color.`);
  if (!dry) throw new InputError('dry', `"${dryHex}" is no color.`);
  const isGray = Math.min(wet.c, dry.c) < GRAY_CHROMA;
  const turn = (dry.h ?? 0) - (wet.h ?? 0);
  return {
    dL: dry.l - wet.l,
    dC: dry.c - wet.c,
    dh: isGray ? 0 : ((((turn + 180) % 360) + 360) % 360) - 180,
  };
}

/** The shift in words: "dried darker and duller". */
export function shiftWords({ dL, dC }: ColorShift): string {
  const words = [
    dL < -1 ? 'darker' : dL > 1 ? 'lighter' : '',
    dC < -2 ? 'duller' : dC > 2 ? 'stronger' : '',
  ].filter(Boolean);
  return words.length > 0 ? `dried ${words.join(' and ')}` : 'dried as it was';
}

/** The mean of shifts that were seen, hues turned the short way; `undefined` without any. */
export function meanShift(shifts: readonly ColorShift[]): ColorShift | undefined {
  if (shifts.length === 0) return undefined;
  const mean = (pick: (shift: ColorShift) => number) =>
    shifts.reduce((sum, shift) => sum + pick(shift), 0) / shifts.length;
  return { dL: mean((each) => each.dL), dC: mean((each) => each.dC), dh: mean((each) => each.dh) };
}

/**
 * The color something wet will dry to, by a shift that was learned. Colors outside sRGB are brought in.
 *
 * @throws InputError naming "wet"
 * @example applyShift('#6f93a8', colorShift('#6f93a8', '#5f8299')) // '#5f8299'
 */
export function applyShift(wetHex: string, { dL, dC, dh }: ColorShift): string {
  const wet = toLch(wetHex);
  if (!wet) throw new InputError('wet', `"${wetHex}" is no color.`);
  const dry = {
    mode: 'lch65' as const,
    l: Math.min(100, Math.max(0, wet.l + dL)),
    c: Math.max(0, wet.c + dC),
    h: (wet.h ?? 0) + dh,
  };
  return formatHex(clampChroma(dry, 'lch65'));
}
