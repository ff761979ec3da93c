import { z } from 'zod';
import { InputError } from '../error/index.ts';
import { mixCalculation } from '../mix/mix.calculation.ts';
import { thinCalculation } from '../mix/thin.calculation.ts';
import { convertCalculation } from '../unit/convert.calculation.ts';
import type { Calculation } from './define.ts';

/** Every calculation there is, in the order of the work. */
export const CALCULATIONS = [convertCalculation, mixCalculation, thinCalculation] as const;

export type CalculationName = 'convert' | 'mix' | 'thin';

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
export interface CalculationCard {
  readonly name: string;
  readonly title: string;
  readonly law: string;
  readonly source: string;
  readonly range: string;
}

export function listCalculations(): CalculationCard[] {
  return CALCULATIONS.map(({ name, title, law, source, range }) => ({
    name,
    title,
    law,
    source,
    range,
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
