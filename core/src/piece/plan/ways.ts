import { LIMITS } from '../../paint/stage/index.ts';

export const STACK_WAYS = ['puddles', 'ring', 'cup'] as const;
/** "puddles": one after the other; "ring": from one cup in rings; "cup": a filled cup turned over and lifted. */
export type StackWay = (typeof STACK_WAYS)[number];

export const PATH_KINDS = ['ribbon', 'line', 'crescent', 'flood'] as const;
/** "ribbon": several colors side by side; "line": one; "crescent": bent; "flood": base along the colors. */
export type PathKind = (typeof PATH_KINDS)[number];

export const FLOOD_MOMENTS = ['before', 'around', 'over'] as const;
/** Base is flooded before the colors, around them when they lie, or drizzled over them before the air. */
export type FloodMoment = (typeof FLOOD_MOMENTS)[number];

export const SPREADERS = ['tilting', 'dryer', 'knife', 'spinner'] as const;
/** What spreads the base over the face, corners first. */
export type Spreader = (typeof SPREADERS)[number];

export const BASE_PATTERNS = ['one', 'split', 'marbled'] as const;
export type BasePattern = (typeof BASE_PATTERNS)[number];

/** Common practice, no published source. */
export const USUAL_SETTINGS = {
  marginMm: 1,
  sheetMm: LIMITS.sheetMm.aim,
  reserveShare: 0.1,
  dripShare: 0.15,
  cupLossG: 3,
  copies: 1,
  standSeconds: 20,
  waitSeconds: 120,
  spinRpm: 0,
  spinSeconds: 0,
  spinTimes: 1,
  spreadBy: 'tilting' as Spreader,
  blowTest: false,
  card: false,
  straw: false,
  skewer: false,
};
