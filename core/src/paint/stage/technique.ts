/** The techniques a piece can be poured in, and the thickness each asks of its cups. */
export const TECHNIQUES = ['dutch', 'bloom', 'swipe', 'ring', 'lifted-cup', 'radial'] as const;
export type Technique = (typeof TECHNIQUES)[number];
