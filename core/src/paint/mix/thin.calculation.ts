import { z } from 'zod';
import { defineCalculation } from '../../base/calculation/define.ts';
import { densityGPerMl, viscosityPaS } from '../../base/calculation/fields.ts';
import { mixPartsSchema } from './fields.ts';
import { thin } from './thin.ts';

export const thinCalculation = defineCalculation({
  name: 'thin',
  title: 'Grams of water or varnish to a target thickness, and the step to take now',
  law: 'a = M (ln mu - ln target) / (ln target - ln mu_thinner); step = 80 % of it',
  source: 'Log-additive mixing (Arrhenius 1887, from memory); 80 %: common practice',
  range: 'Target between the thinner’s and the mix’s viscosity.',
  assumes: 'The paint thins as the plain mixing law says until readings have taught otherwise.',
  typical: 'Water 0.001002 Pa·s, varnish 0.35 Pa·s.',
  example: {
    parts: [
      { massG: 30, viscosityPaS: 1.2, densityGPerMl: 1.03 },
      { massG: 15, viscosityPaS: 45, densityGPerMl: 1.2 },
    ],
    targetPaS: 0.76,
    thinner: { viscosityPaS: 0.001002, densityGPerMl: 0.9982 },
  },
  input: z.strictObject({
    parts: mixPartsSchema,
    targetPaS: viscosityPaS,
    thinner: z.strictObject({ viscosityPaS, densityGPerMl }, 'Describe the thinner.'),
  }),
  output: z.object({ addG: z.number(), adviseG: z.number() }),
  compute: ({ parts, targetPaS, thinner }) => thin(parts, targetPaS, thinner),
});
