import {
  converter,
  differenceCiede2000,
  modeLab65,
  modeLch65,
  modeRgb,
  useMode,
  type Color,
  type Lch65,
} from 'culori/fn';

/** The few ways to write a color that are used here; all of them together are as large as a page. */
useMode(modeRgb);
useMode(modeLab65);
useMode(modeLch65);

export { clampChroma, formatHex, parse } from 'culori/fn';
export const toLch: (color: Color | string) => Lch65 | undefined = converter('lch65');
export const ciede2000: (a: Color, b: Color) => number = differenceCiede2000();
