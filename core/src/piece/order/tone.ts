import { converter, modeOklch, modeRgb, useMode } from 'culori/fn';

useMode(modeRgb);
useMode(modeOklch);
const toOklch = converter('oklch');

/** Lightness of a color in OKLCH, 0 to 1. */
export const lightnessOf = (hex: string): number => toOklch(hex)?.l ?? 0;

/** Chroma of a color in OKLCH, 0 to about 0.32. */
export const chromaOf = (hex: string): number => toOklch(hex)?.c ?? 0;
