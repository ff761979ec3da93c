import { gaussian, type Random } from '../../base/random/index.ts';
import { materialKind, type IngredientRole } from '../../paint/material/index.ts';
import type { MatchCup } from '../../thickness/match/index.ts';

/** Real paint answers so much more or less to water than the law has it. */
export const LAW_OFF = 0.3;
/** How far real paints and media lie from their kind's usual value, in ln(viscosity). */
const PAINT_SPREAD_LN = 0.7;
const MEDIUM_SPREAD_LN = 0.3;
const WATER_LN = Math.log(materialKind('water').viscosityPaS);
export const WATER = 2;
/** 30 g of conditioner, 15 g of tube paint, no water yet. */
export const FRESH_MG: readonly number[] = [30_000, 15_000, 0];
/** It shall come to the middle of the fading stage, Pa.s. */
export const TARGET_PAS = 0.56;

/** What nobody knows of a cup: how thick it is without water, and how strongly it answers to it. */
export interface HiddenCup {
  readonly dryLn: number;
  readonly answer: number;
}

const lnOf = (kind: 'flow-conditioner' | 'artist-tube'): number => Math.log(materialKind(kind).viscosityPaS);

/** A cup of conditioner and tube paint, 2 to 1, off the law by 30 % one way or the other. */
export const hiddenCup = (random: Random): HiddenCup => ({
  dryLn:
    (2 / 3) * (lnOf('flow-conditioner') + MEDIUM_SPREAD_LN * gaussian(random)) +
    (1 / 3) * (lnOf('artist-tube') + PAINT_SPREAD_LN * gaussian(random)),
  answer: 1 + (random() < 0.5 ? -LAW_OFF : LAW_OFF),
});

/** Its true ln(viscosity) with this in it. */
export function trueLn({ dryLn, answer }: HiddenCup, contentsMg: readonly number[]): number {
  const water = contentsMg[WATER]! / contentsMg.reduce((sum, mg) => sum + mg, 0);
  return dryLn + answer * water * (WATER_LN - dryLn);
}

/** How far it truly is above its target, in ln(viscosity). */
export const offTargetLn = (cup: HiddenCup, contentsMg: readonly number[]): number =>
  trueLn(cup, contentsMg) - Math.log(TARGET_PAS);

/** The same with so much more water in it. */
export const thinned = (contentsMg: readonly number[], waterMg: number): number[] =>
  contentsMg.map((mg, at) => (at === WATER ? mg + waterMg : mg));

const part = (
  id: string,
  kind: 'flow-conditioner' | 'artist-tube' | 'water',
  role: IngredientRole,
  share: number,
): MatchCup['ingredients'][number] => {
  const { viscosityPaS, densityGPerMl, label } = materialKind(kind);
  return {
    ...{ id, role, share },
    material: { materialId: id, name: label, kind, viscosityPaS, densityGPerMl, viscosityTrust: 'typical' },
  } as MatchCup['ingredients'][number];
};

/** The cup as the advice sees it. */
export const VIRTUAL_CUP: MatchCup = {
  ...{ id: 'cup', name: 'cup', contentsMg: FRESH_MG, capacityMl: 500, waterLimit: 0.5 },
  ingredients: [
    part('medium', 'flow-conditioner', 'medium', 2 / 3),
    part('paint', 'artist-tube', 'paint', 1 / 3),
    part('water', 'water', 'water', 0),
  ],
};
