import type { Random } from '../../base/random/index.ts';
import { spreadRadiusMm } from '../../flow/film/index.ts';
import { points, type DrillAnswer } from '../schedule/index.ts';
import { spreadOver } from './order.ts';

const LEAST_G = 2;
const MOST_G = 24;
const DENSITY_KG_M3 = 1100;
/** A puddle is looked at so long after it was laid, s. */
const LOOKED_AT_S = 20;

/** Puddles to be judged, g: evenly spread from a spoonful to a small cup, in no order. */
export const puddlesToJudge = (count: number, random: Random): number[] =>
  spreadOver(LEAST_G, MOST_G, count, random);

/**
 * Radius of a puddle on a wetted face, 20 s after it was laid.
 *
 * Law: Huppert 1982a, as in `spread`.
 *
 * @returns mm
 * @throws InputError naming "volumeMl" or "viscosityPaS"
 * @example puddleRadiusMm(8, 1.5) // 40.7
 */
export const puddleRadiusMm = (grams: number, viscosityPaS: number, seconds = LOOKED_AT_S): number =>
  spreadRadiusMm({
    volumeMl: (1000 * grams) / DENSITY_KG_M3,
    ...{ viscosityPaS, densityKgM3: DENSITY_KG_M3, seconds },
  });

/** Off by this factor on average is no point. */
const WORTHLESS = 2;

/** How far off on average, as a factor: 1 is exact, 1.25 a quarter too much or too little. */
export const meanFactor = (answers: readonly DrillAnswer[]): number =>
  Math.exp(
    answers.reduce((sum, { shown, said }) => sum + Math.abs(Math.log(said / shown)), 0) / answers.length,
  );

/** Points for amounts: full when exact, none when off by a factor of two on average. */
export const scoreAmounts = (answers: readonly DrillAnswer[]): number =>
  points(1 - Math.log(meanFactor(answers)) / Math.log(WORTHLESS));

/** Spread of amounts over their mean: how even puddles are among each other, 0 is all alike. */
export function unevenness(grams: readonly number[]): number {
  const mean = grams.reduce((sum, each) => sum + each, 0) / grams.length;
  const squares = grams.reduce((sum, each) => sum + (each - mean) ** 2, 0);
  return mean > 0 ? Math.sqrt(squares / Math.max(1, grams.length - 1)) / mean : 0;
}

/** How a cup runs out when it is tipped: g a second, with a hand that is not quite steady. */
export interface Stream {
  readonly gPerS: number;
  readonly sway: number;
  readonly turn: number;
}

export const streamOf = (random: Random): Stream => ({
  gPerS: 2.5 + 3 * random(),
  sway: 0.25 * random(),
  turn: 2 * Math.PI * random(),
});

const SWAY_S = 1.7;
/** Paint needs so long until it comes, s. */
const LIP_S = 0.25;

/** Grams that have run out after some seconds of tipping. */
export function ranOut({ gPerS, sway, turn }: Stream, seconds: number): number {
  const t = Math.max(0, seconds - LIP_S);
  const pace = (2 * Math.PI) / SWAY_S;
  return Math.max(0, gPerS * (t + (sway / pace) * (Math.cos(turn) - Math.cos(pace * t + turn))));
}
