import { z } from 'zod';
import { defineCalculation } from '../../base/calculation/define.ts';
import { positive, viscosityPaS } from '../../base/calculation/fields.ts';
import { combine } from './combine.ts';

export const combineCalculation = defineCalculation({
  name: 'combine',
  title: 'One thickness from several readings',
  law: 'ln mu = sum (ln mu_i / sd_i^2) / sum (1 / sd_i^2); sd = 1 / sqrt(sum 1 / sd_i^2)',
  source: 'Inverse-variance weighting (standard statistics)',
  range: 'Independent readings of one cup.',
  assumes: 'Spreads of ln(viscosity) as stated; readings do not share an error.',
  typical: 'sd of ln(viscosity): words 0.5, mound seconds 0.4, tilt race 0.12, drain cup 0.08.',
  example: {
    readings: [
      { viscosityPaS: 0.56, sdLn: 0.5 },
      { viscosityPaS: 0.8, sdLn: 0.12 },
    ],
  },
  input: z.strictObject({
    readings: z
      .array(
        z.strictObject({ viscosityPaS, sdLn: positive('the spread of ln(viscosity)') }),
        'Give the readings as a list.',
      )
      .min(1, 'Give at least one reading.'),
  }),
  output: z.object({ viscosityPaS: z.number(), sdLn: z.number() }),
  compute: ({ readings }) => combine(readings),
});
