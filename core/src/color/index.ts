export { cupColor } from './cupColor.ts';
export { colorDifference } from './difference.ts';
export { matchColor, type ColorMatch, type MatchPaint } from './matchColor.ts';
export { mixColor } from './mixColor.ts';
export { colorShift, shiftWords, type ColorShift } from './shift.ts';
export { readPalette, writePalette, type PaletteColor } from './palette.ts';
