import { z } from 'zod';
import { defineCalculation } from '../calculation/define.ts';
import { stageOf } from '../thickness/stage.ts';
import { mixPartsSchema } from './fields.ts';
import { mixProperties } from './properties.ts';

export const mixCalculation = defineCalculation({
  name: 'mix',
  title: 'Weight, volume, density, thickness and water share of a mix',
  law: 'ln mu = sum w_i ln mu_i (mass fractions); 1/rho = sum w_i / rho_i',
  source: 'Arrhenius 1887; Grunberg & Nissan 1949 (from memory). Stage names: common practice',
  range:
    'Well-stirred mixes at one temperature, interaction terms 0. Rests on typical viscosities until they are measured.',
  input: z.strictObject({ parts: mixPartsSchema }),
  output: z.object({
    massG: z.number(),
    volumeMl: z.number(),
    densityGPerMl: z.number(),
    viscosityPaS: z.number(),
    waterFraction: z.number(),
    stage: z.string(),
  }),
  compute: ({ parts }) => {
    const properties = mixProperties(parts);
    return { ...properties, stage: stageOf(properties.viscosityPaS).name };
  },
});
