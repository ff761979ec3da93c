import { paintedArea, type SupportSize } from '../support/index.ts';
import { LIMITS } from '../../paint/stage/index.ts';

/** A breath lasts so long, a dryer is held so long in one pass, s (common practice). */
const BREATH_S = { least: 0.2, most: 6 };
const PASS_S = { least: 0.5, most: 30 };
/** However small a flower is, it is blown at least this often. */
const LEAST_BREATHS = 3;

/** Seconds of one of several breaths that together work a flower. */
export const flowerSeconds = (footprintMm: number, passes: number): number =>
  between((LIMITS.airSPerDm2.flowerAim * flowerDm2(footprintMm)) / passes, BREATH_S);

/** Of the ways a flower is to be blown, as many as it bears without being overworked, evenly taken. */
export function turnsOf<Turn>(footprintMm: number, turns: readonly Turn[]): readonly Turn[] {
  const borne = Math.floor((LIMITS.airSPerDm2.flowerAim * flowerDm2(footprintMm)) / BREATH_S.least);
  const count = Math.max(LEAST_BREATHS, borne);
  if (count >= turns.length) return turns;
  return Array.from({ length: count }, (_, index) => turns[Math.floor((index * turns.length) / count)]!);
}

/** Seconds of one of several passes that together work a face. */
export const faceSeconds = (support: SupportSize, passes: number): number =>
  between((LIMITS.airSPerDm2.faceAim * paintedArea(support).faceCm2) / 100 / passes, PASS_S);

/**
 * Area of a flower, in square decimeters.
 *
 * @example flowerDm2(100) // 0.7854
 */
export const flowerDm2 = (footprintMm: number): number => ((Math.PI / 4) * footprintMm ** 2) / 1e4;

const between = (seconds: number, { least, most }: { least: number; most: number }): number => {
  const held = Math.min(most, Math.max(least, seconds));
  return held < 1 ? Math.round(10 * held) / 10 : Math.round(2 * held) / 2;
};
