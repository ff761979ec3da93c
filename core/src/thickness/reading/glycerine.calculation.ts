import { z } from 'zod';
import { defineCalculation } from '../../base/calculation/define.ts';
import { fraction } from '../../base/calculation/fields.ts';
import { glycerineViscosity } from './glycerine.ts';

export const glycerineCalculation = defineCalculation({
  name: 'glycerine',
  title: 'Viscosity of glycerine with water, the reference liquid anyone can mix',
  law: 'mu = mu_w^a mu_g^(1-a), a = 1 - C + b c C (1-C) / (b C + c (1-C)), b = 0.705 - 0.0017 T, c = (4.9 + 0.036 T) b^2.5',
  source: 'Cheng 2008 (from memory)',
  range: '0 to 100 °C, any share of water; good to a few percent.',
  assumes: 'Clean glycerine and water by weight, well mixed, at the temperature given.',
  typical: '100 % at 20 °C 1.414 Pa·s, at 25 °C 0.906; 90 % at 20 °C 0.224.',
  example: { glycerineMassFraction: 0.9, temperatureC: 20 },
  input: z.strictObject({
    glycerineMassFraction: fraction,
    temperatureC: z
      .number('Give the temperature in °C as a number.')
      .min(0, 'The formula holds from 0 to 100 °C.')
      .max(100, 'The formula holds from 0 to 100 °C.'),
  }),
  output: z.object({ viscosityPaS: z.number() }),
  compute: ({ glycerineMassFraction, temperatureC }) => ({
    viscosityPaS: glycerineViscosity(glycerineMassFraction, temperatureC),
  }),
});
