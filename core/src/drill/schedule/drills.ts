/** What is practiced, in the order in which a beginner takes it up. */
export const DRILL_NAMES = [
  'mound',
  'thinning',
  'puddle',
  'even',
  'breath',
  'crescent',
  'fan',
  'bloom',
  'six',
  'spin',
  'enough',
] as const;
export type DrillName = (typeof DRILL_NAMES)[number];

/** What was there, and what was said of it: Pa.s for a mound, grams for a puddle. */
export interface DrillAnswer {
  readonly shown: number;
  readonly said: number;
}

/** One drill that was played to its end. */
export interface DrillResult {
  readonly drill: DrillName;
  /** 0 to 100. */
  readonly score: number;
  readonly answers: readonly DrillAnswer[];
  /** Further numbers of the drill, by name. */
  readonly measures: Readonly<Record<string, number>>;
}

/**
 * A score between 0 and 100 in whole points; what cannot be worked out is no point.
 *
 * @example points(0.873) // 87
 */
export const points = (share: number): number => Math.round(100 * Math.min(1, Math.max(0, share || 0)));
