import { z } from 'zod';
import { InputError } from '../base/error/index.ts';
import { amountsCalculation } from '../piece/amount/amounts.calculation.ts';
import { deepDentCalculation } from '../flow/air/deepDent.calculation.ts';
import { jetCalculation } from '../flow/air/jet.calculation.ts';
import { reachCalculation } from '../flow/air/reach.calculation.ts';
import { cellsCalculation } from '../flow/cell/cells.calculation.ts';
import { colorDifferenceCalculation } from '../paint/color/difference.calculation.ts';
import { mixColorCalculation } from '../paint/color/mix.calculation.ts';
import { resinCalculation } from '../piece/finish/resin.calculation.ts';
import { touchDryCalculation } from '../flow/drying/touchDry.calculation.ts';
import { dryCalculation } from '../flow/drying/dry.calculation.ts';
import { driftCalculation } from '../flow/film/drift.calculation.ts';
import { filmLeftCalculation } from '../flow/film/filmLeft.calculation.ts';
import { levelCalculation } from '../flow/film/level.calculation.ts';
import { restingCalculation } from '../flow/film/resting.calculation.ts';
import { spinCalculation } from '../flow/film/spin.calculation.ts';
import { rimCalculation } from '../flow/film/rim.calculation.ts';
import { spinShearCalculation } from '../flow/film/spinShear.calculation.ts';
import { tipTestCalculation } from '../flow/film/tipTest.calculation.ts';
import { filmRunCalculation } from '../flow/solver/filmRun.calculation.ts';
import { spreadCalculation } from '../flow/film/spread.calculation.ts';
import { mixCalculation } from '../paint/mix/mix.calculation.ts';
import { thinCalculation } from '../paint/mix/thin.calculation.ts';
import { nextAdditionCalculation } from '../thickness/match/nextAddition.calculation.ts';
import { combineCalculation } from '../thickness/reading/combine.calculation.ts';
import { drainCupCalculation } from '../thickness/reading/drainCup.calculation.ts';
import { eyeCalculation } from '../thickness/reading/eye.calculation.ts';
import { glycerineCalculation } from '../thickness/reading/glycerine.calculation.ts';
import { tiltRaceCalculation } from '../thickness/reading/tiltRace.calculation.ts';
import { ownCellsCalculation } from '../judgement/cells/ownCells.calculation.ts';
import { differenceCalculation } from '../judgement/compare/difference.calculation.ts';
import { convertCalculation } from '../base/unit/convert.calculation.ts';
import type { Calculation } from '../base/calculation/define.ts';

/** Every calculation there is, in the order of the work. */
export const CALCULATIONS = [
  convertCalculation,
  mixCalculation,
  thinCalculation,
  nextAdditionCalculation,
  glycerineCalculation,
  drainCupCalculation,
  tiltRaceCalculation,
  combineCalculation,
  eyeCalculation,
  filmLeftCalculation,
  driftCalculation,
  rimCalculation,
  restingCalculation,
  tipTestCalculation,
  spinCalculation,
  spinShearCalculation,
  spreadCalculation,
  levelCalculation,
  cellsCalculation,
  jetCalculation,
  deepDentCalculation,
  reachCalculation,
  filmRunCalculation,
  colorDifferenceCalculation,
  mixColorCalculation,
  amountsCalculation,
  dryCalculation,
  touchDryCalculation,
  resinCalculation,
  differenceCalculation,
  ownCellsCalculation,
] as const;

export type CalculationName = (typeof CALCULATIONS)[number]['name'];

/**
 * @throws InputError (field "name") with the known names when there is no such calculation.
 *
 * @example findCalculation('mix').name // 'mix'
 */
export function findCalculation(name: string): Calculation {
  const found = CALCULATIONS.find((each) => each.name === name);
  if (!found) {
    throw new InputError(
      'name',
      `There is no calculation "${name}". Known: ${CALCULATIONS.map((each) => each.name).join(', ')}.`,
    );
  }
  return found as unknown as Calculation;
}

/** What help pages and listings show of a calculation. */
export type CalculationCard = Pick<
  Calculation,
  'name' | 'title' | 'law' | 'source' | 'range' | 'assumes' | 'typical'
>;

/**
 * Every calculation as help pages show it.
 *
 * @example listCalculations()[0].name // 'convert'
 */
export function listCalculations(): CalculationCard[] {
  return CALCULATIONS.map(({ name, title, law, source, range, assumes, typical }) => ({
    name,
    title,
    law,
    source,
    range,
    assumes,
    typical,
  }));
}

/**
 * The JSON Schema (draft 2020-12) of a calculation's input.
 *
 * @example inputJsonSchema('mix').title // 'mix'
 */
export function inputJsonSchema(name: string): Record<string, unknown> {
  const calculation = findCalculation(name);
  return {
    title: calculation.name,
    description: calculation.title,
    ...z.toJSONSchema(calculation.input, { io: 'input' }),
  };
}
