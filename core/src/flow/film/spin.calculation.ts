import { z } from 'zod';
import { defineCalculation } from '../../base/calculation/define.ts';
import { densityKgM3, notNegative, positive, viscosityPaS } from '../../base/calculation/fields.ts';
import { spunMm } from './spin.ts';

export const spinCalculation = defineCalculation({
  name: 'spin',
  title: 'Thickness of a film after spinning',
  law: 'h = h0 / sqrt(1 + 4 rho w^2 h0^2 t / (3 mu))',
  source: 'Emslie, Bonner & Peck 1958 (from memory)',
  range: 'An even film on a level turning plate, away from its rim.',
  assumes: 'A liquid of one viscosity; no drying meanwhile.',
  typical: 'A hand spinner turns 30 to 90 times a minute.',
  example: { thicknessMm: 3, viscosityPaS: 3, densityKgM3: 1150, rpm: 60, seconds: 10 },
  input: z.strictObject({
    thicknessMm: positive('the thickness in mm'),
    viscosityPaS,
    densityKgM3,
    rpm: notNegative('the turns a minute'),
    seconds: notNegative('the seconds'),
  }),
  output: z.object({ thicknessMm: z.number() }),
  compute: (input) => ({ thicknessMm: spunMm(input) }),
});
