export { cupColor } from './cupColor.ts';
export { colorDifference, labDifference, type Lab } from './difference.ts';
export { byteOf, hexOf, linearRgb } from './linear.ts';
export { matchColor, type ColorMatch, type MatchPaint } from './matchColor.ts';
export { mixColor } from './mixColor.ts';
export { colorShift, shiftWords, applyShift, meanShift, type ColorShift } from './shift.ts';
export { readPalette, writePalette, type PaletteColor } from './palette.ts';
