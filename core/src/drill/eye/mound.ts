import type { Random } from '../../base/random/index.ts';
import { levelingRate } from '../../flow/film/index.ts';
import { stageCenter, stageOf, STAGES, type StageName } from '../../paint/stage/index.ts';
import { points, type DrillAnswer } from '../schedule/index.ts';
import { spreadOver } from './order.ts';

/** Thinnest and thickest that are shown, Pa.s: some way into the stages at both ends. */
const THINNEST_PAS = 0.06;
const THICKEST_PAS = 10;

/**
 * Thicknesses to be named, evenly spread over all that is poured, in no order.
 *
 * @returns Pa.s
 */
export const moundsToName = (count: number, random: Random): number[] =>
  spreadOver(THINNEST_PAS, THICKEST_PAS, count, random);

/** A wavy line drawn through a film: its wave, the film and its paint. */
const WIGGLE = { wavelengthMm: 12, thicknessMm: 1.5, densityKgM3: 1100, surfaceTensionNM: 0.03 };

/**
 * How much of a drawn line is left after some seconds, as a share of its height.
 *
 * Law: leveling of a ripple on a film (Orchard 1962, as in `level`).
 *
 * @throws InputError naming "viscosityPaS"
 * @example wiggleLeft(1, 0.5) // 0.247
 */
export const wiggleLeft = (viscosityPaS: number, seconds: number): number =>
  Math.exp(-levelingRate({ ...WIGGLE, viscosityPaS }) * Math.max(0, seconds));

/** What naming the stage next to the right one is worth. */
const NEXT_TO_IT = 0.5;

/**
 * A thickness and the stage it was called, as it is kept.
 *
 * @example namedAs(1.1, 'fading') // { shown: 1.1, said: 0.561 }
 */
export const namedAs = (shownPaS: number, stage: StageName): DrillAnswer => ({
  shown: shownPaS,
  said: stageCenter(stage),
});

const placeOf = (paS: number): number => STAGES.findIndex(({ name }) => name === stageOf(paS).name);

/** Points for what was named: whole for the right stage, half for the one next to it. */
export function scoreNaming(answers: readonly DrillAnswer[]): number {
  const right = answers.map(({ shown, said }) => {
    const apart = Math.abs(placeOf(shown) - placeOf(said));
    return apart === 0 ? 1 : apart === 1 ? NEXT_TO_IT : 0;
  });
  return points(right.reduce((sum: number, each) => sum + each, 0) / answers.length);
}
