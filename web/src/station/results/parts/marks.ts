import type { Palette } from '#theme/tokens.ts';

/** Two to four pours are told apart by shape first, then by lightness: color belongs to the paint. */
export const MARKS = [
  { shape: 'circle', color: 'ink' },
  { shape: 'diamond', color: 'water' },
  { shape: 'square', color: 'edge' },
  { shape: 'triangle', color: 'inkSoft' },
] as const satisfies readonly { shape: string; color: keyof Palette }[];
