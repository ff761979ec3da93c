import { InputError } from '../base/error/index.ts';
import { runCalculation } from '../base/calculation/index.ts';
import { findCalculation, listCalculations } from './index.ts';

/** JSON has no infinity, but 1e999 is read as one. */
const ENDLESS = JSON.parse('1e999') as number;

it.each(listCalculations().map(({ name }) => name))(
  '%s refuses numbers that are none, and gives none',
  (name) => {
    const calculation = findCalculation(name);
    const spoil = (value: unknown, by: number): unknown => {
      if (typeof value === 'number') return by;
      if (Array.isArray(value)) return value.map((each) => spoil(each, by));
      if (typeof value !== 'object' || value === null) return value;
      return Object.fromEntries(Object.entries(value).map(([key, each]) => [key, spoil(each, by)]));
    };
    for (const number of [ENDLESS, -ENDLESS, Number.NaN]) {
      expect(() => runCalculation(calculation, spoil(calculation.example, number))).toThrow(InputError);
    }
    for (const number of [1e308, 5e-324, 1e-300]) {
      try {
        const text = JSON.stringify(runCalculation(calculation, spoil(calculation.example, number)));
        expect(text).not.toMatch(/null|Infinity|NaN/);
      } catch (error) {
        expect(error).toBeInstanceOf(InputError);
      }
    }
  },
);
