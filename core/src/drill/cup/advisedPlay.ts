import { gaussian, type Random } from '../../base/random/index.ts';
import { materialKind } from '../../paint/material/index.ts';
import {
  beliefOf,
  bendName,
  composition,
  observe,
  thicknessName,
  WATER_BEND_SD,
  withUnknown,
  type Belief,
} from '../../thickness/learn/index.ts';
import { nextAddition } from '../../thickness/match/index.ts';
import { RACE_SD_LN } from '../../thickness/reading/index.ts';
import {
  FRESH_MG,
  offTargetLn,
  TARGET_PAS,
  thinned,
  trueLn,
  VIRTUAL_CUP,
  type HiddenCup,
} from './hiddenCup.ts';

const PRIOR_SD_LN = Math.log(2.5);
const EYE = 'words';
const lnOf = (kind: 'flow-conditioner' | 'artist-tube'): number => Math.log(materialKind(kind).viscosityPaS);

/** What is known of the cup before anything was read. */
export const KNOWN_BEFORE: Belief = beliefOf([
  { name: thicknessName('medium'), mean: lnOf('flow-conditioner'), sd: PRIOR_SD_LN },
  { name: thicknessName('paint'), mean: lnOf('artist-tube'), sd: PRIOR_SD_LN },
  { name: bendName('medium'), mean: 0, sd: WATER_BEND_SD },
  { name: bendName('paint'), mean: 0, sd: WATER_BEND_SD },
]);

/** What is known of the cup's materials once it was read, by something whose readings share a spread of `biasLn`. */
export function afterReading(
  known: Belief,
  contentsMg: readonly number[],
  readLn: number,
  sdLn: number,
  biasLn = 0,
): Belief {
  const { weights, offset } = composition(VIRTUAL_CUP.ingredients, contentsMg);
  if (biasLn === 0) return observe(known, weights, readLn - offset, sdLn);
  return observe(withUnknown(known, EYE, 0, biasLn), { ...weights, [EYE]: 1 }, readLn - offset, sdLn);
}

/** Milligrams of water that the advice stirs in next; or that it is there, or to be read. */
export function adviceFor(known: Belief, contentsMg: readonly number[]): number | 'there' | 'read' {
  const next = nextAddition(known, { ...VIRTUAL_CUP, contentsMg }, TARGET_PAS);
  if (next.kind === 'thin') return next.step[0]?.mg ?? 0;
  return next.kind === 'there' ? 'there' : 'read';
}

/** How a cup was thinned. */
export interface ThinPlay {
  /** Water that was stirred in, one addition after the other, mg. */
  readonly additionsMg: readonly number[];
  readonly readings: number;
  /** How far above its target it ended, in ln(viscosity); below 0 it is too thin. */
  readonly offLn: number;
}

const MOST_ADDITIONS = 25;
/** A cup that is called unsure is read again, this often in a row. */
const MOST_LOOKS = 3;

/** The advice's own play of a cup: it is read by a race after each addition. */
export function advisedPlay(cup: HiddenCup, random: Random): ThinPlay {
  let contentsMg = FRESH_MG;
  let known = KNOWN_BEFORE;
  const additionsMg: number[] = [];
  let [looks, readings] = [0, 0];
  while (additionsMg.length < MOST_ADDITIONS && looks < MOST_LOOKS) {
    known = afterReading(known, contentsMg, raced(cup, contentsMg, random), RACE_SD_LN);
    readings += 1;
    const advice = adviceFor(known, contentsMg);
    if (advice === 'there') break;
    looks = advice === 'read' ? looks + 1 : 0;
    if (typeof advice !== 'number') continue;
    contentsMg = thinned(contentsMg, advice);
    additionsMg.push(advice);
  }
  return { additionsMg, readings, offLn: offTargetLn(cup, contentsMg) };
}

/** What a race against a reference liquid says of it, ln(Pa.s). */
export const raced = (cup: HiddenCup, contentsMg: readonly number[], random: Random): number =>
  trueLn(cup, contentsMg) + RACE_SD_LN * gaussian(random);
