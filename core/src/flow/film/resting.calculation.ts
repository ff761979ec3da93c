import { z } from 'zod';
import { defineCalculation } from '../../base/calculation/define.ts';
import { densityKgM3, positive } from '../../base/calculation/fields.ts';
import { restingMm } from './resting.ts';

export const restingCalculation = defineCalculation({
  name: 'resting',
  title: 'How thick a puddle rests on a bare face',
  law: 'h = 2 sqrt(gamma / (rho g)) sin(contact / 2)',
  source: 'de Gennes, Brochard-Wyart & Quere 2004 (from memory)',
  range: 'A level face that is not wetted; a puddle much wider than thick.',
  assumes: 'No yield stress; the edge stops at its contact angle.',
  typical: 'Paint 0.03 N/m; about 30 degrees on a primed face that is dry (an assumption).',
  example: { surfaceTensionNM: 0.03, densityKgM3: 1100, contactDeg: 30 },
  input: z.strictObject({
    surfaceTensionNM: positive('the surface tension in N/m').max(
      1,
      'The surface tension is in N/m; paint has about 0.03.',
    ),
    densityKgM3,
    contactDeg: z
      .number('Give the contact angle in degrees as a number.')
      .min(0, 'The contact angle lies between 0 and 180 degrees.')
      .max(180, 'The contact angle lies between 0 and 180 degrees.'),
  }),
  output: z.object({ thicknessMm: z.number() }),
  compute: (input) => ({ thicknessMm: restingMm(input) }),
});
