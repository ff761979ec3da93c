import type { Technique } from './technique.ts';

/**
 * What an artist may want of a piece. Each is a choice with its look, not a mistake; windows, dose, order, air and the
 * search for causes follow it (common practice, no published source). Null is not chosen: any of them is right.
 */
export const AIMS = {
  /**
   * Of a Dutch pour: bright separate colors; wider spread; swarms of tiny cells in colors that mix. Of a swipe, ring,
   * lifted cup or radial pour: bloom paint, or thinner paint.
   */
  thickness: ['thick', 'medium', 'thin'],
  cells: ['few', 'many'],
  lacing: ['fine', 'broad'],
  /** Of a bloom: it stops before the edge, or covers the face. */
  reach: ['floating', 'full'],
  negativeSpace: ['wanted'],
} as const;
export type AimKey = keyof typeof AIMS;
export type Aims = { readonly [Key in AimKey]: (typeof AIMS)[Key][number] | null };

export const NO_AIMS: Aims = { thickness: null, cells: null, lacing: null, reach: null, negativeSpace: null };

const OF_TECHNIQUE: Readonly<Record<Technique, readonly AimKey[]>> = {
  dutch: ['thickness', 'cells', 'lacing', 'negativeSpace'],
  bloom: ['reach', 'cells', 'lacing', 'negativeSpace'],
  swipe: ['thickness', 'cells', 'lacing', 'negativeSpace'],
  ring: ['thickness', 'cells', 'negativeSpace'],
  'lifted-cup': ['thickness', 'cells', 'negativeSpace'],
  radial: ['thickness', 'cells', 'lacing', 'negativeSpace'],
};

/**
 * What can be aimed at in a technique, in the order in which it is decided.
 *
 * @example aimsOf('bloom')[0] // 'reach'
 */
export const aimsOf = (technique: Technique): readonly AimKey[] => OF_TECHNIQUE[technique];
