import { z } from 'zod';
import { InputError } from '../error/index.ts';
import { amountsCalculation } from '../amount/amounts.calculation.ts';
import { jetCalculation } from '../air/jet.calculation.ts';
import { cellsCalculation } from '../cell/cells.calculation.ts';
import { colorDifferenceCalculation } from '../color/difference.calculation.ts';
import { filmLeftCalculation } from '../film/filmLeft.calculation.ts';
import { levelCalculation } from '../film/level.calculation.ts';
import { spinCalculation } from '../film/spin.calculation.ts';
import { spreadCalculation } from '../film/spread.calculation.ts';
import { mixCalculation } from '../mix/mix.calculation.ts';
import { thinCalculation } from '../mix/thin.calculation.ts';
import { combineCalculation } from '../reading/combine.calculation.ts';
import { drainCupCalculation } from '../reading/drainCup.calculation.ts';
import { glycerineCalculation } from '../reading/glycerine.calculation.ts';
import { tiltRaceCalculation } from '../reading/tiltRace.calculation.ts';
import { convertCalculation } from '../unit/convert.calculation.ts';
import type { Calculation } from './define.ts';

/** Every calculation there is, in the order of the work. */
export const CALCULATIONS = [
  convertCalculation,
  mixCalculation,
  thinCalculation,
  glycerineCalculation,
  drainCupCalculation,
  tiltRaceCalculation,
  combineCalculation,
  filmLeftCalculation,
  spinCalculation,
  spreadCalculation,
  levelCalculation,
  cellsCalculation,
  jetCalculation,
  colorDifferenceCalculation,
  amountsCalculation,
] as const;

export type CalculationName = (typeof CALCULATIONS)[number]['name'];

/** @throws InputError (field "name") with the known names when there is no such calculation. */
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

/** The JSON Schema (draft 2020-12) of a calculation's input. */
export function inputJsonSchema(name: string): Record<string, unknown> {
  const calculation = findCalculation(name);
  return {
    title: calculation.name,
    description: calculation.title,
    ...z.toJSONSchema(calculation.input, { io: 'input' }),
  };
}
