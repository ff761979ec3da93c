import { z } from 'zod';
import { defineCalculation } from '../calculation/define.ts';
import { InputError } from '../error/index.ts';
import { ridge } from './ridge.ts';

const MOST = 1e6;
const number = z
  .number('Give numbers.')
  .min(-MOST, 'A standardized number lies near 0.')
  .max(MOST, 'A standardized number lies near 0.');

export const ridgeCalculation = defineCalculation({
  name: 'ridge',
  title: 'What went with an effect, held back as far as pours that were left out ask for',
  law: "b = (X'X + kI)^-1 X'y; k by the smallest sum of (e / (1 - h))^2; covariance s^2 (X'X + kI)^-1",
  source: 'Hoerl & Kennard 1970; Allen 1974 (from memory)',
  range: 'Standardized columns and effect, more rows than the fit uses up.',
  assumes: 'Straight lines in what was standardized; association, not proof.',
  typical: 'From 8 pours on, one cause for every three of them.',
  example: {
    rows: [
      [-1.2, 0.4],
      [-0.7, -1.1],
      [-0.2, 0.9],
      [0.1, -0.6],
      [0.6, 1.3],
      [1.4, -0.9],
    ],
    effect: [-1.3, -0.5, -0.3, 0.2, 0.4, 1.5],
  },
  input: z.strictObject({
    rows: z
      .array(z.array(number, 'Give a row of numbers for each pour.').min(1).max(20), 'Give rows.')
      .min(3, 'Give at least three rows.')
      .max(2000),
    effect: z.array(number, 'Give one number of the effect for each row.').min(3).max(2000),
  }),
  output: z.object({
    coefficients: z.array(z.number()),
    standardErrors: z.array(z.number()),
    lambda: z.number(),
    predictedShare: z.number(),
  }),
  compute: ({ rows, effect }) => {
    if (effect.length !== rows.length) {
      throw new InputError('effect', 'Give one number of the effect for each row.');
    }
    if (rows.some((row) => row.length !== rows[0]!.length)) {
      throw new InputError('rows', 'Give as many numbers in each row.');
    }
    const { coefficients, covariance, lambda, predictedShare } = ridge(rows, effect);
    return {
      coefficients: [...coefficients],
      standardErrors: covariance.map((row, at) => Math.sqrt(row[at]!)),
      lambda,
      predictedShare,
    };
  },
});
