import { z } from 'zod';
import { defineCalculation } from '../../base/calculation/define.ts';
import { stageOf } from '../stage/stage.ts';
import { mixPartsSchema } from './fields.ts';
import { mixProperties } from './properties.ts';

export const mixCalculation = defineCalculation({
  name: 'mix',
  title: 'Weight, volume, density, thickness and water share of a mix',
  law: 'ln mu = sum w_i ln mu_i (mass fractions); 1/rho = sum w_i / rho_i',
  source: 'Arrhenius 1887; Grunberg & Nissan 1949 (from memory). Stage names: common practice',
  range: 'Well-stirred mixes at one temperature.',
  assumes:
    'Interaction terms are 0 here; the Thickness station learns one between each paint and water. Volumes add.',
  typical:
    'Pa·s: heavy-body tube 60, artist tube 45, student tube 30, soft-body 12, fluid 2.5, craft 3, flow conditioner 1.2, cell-forming conditioner 0.35, wall paint 8, untinted base 6, varnish 0.35, polyurethane 0.8, glue 6, pouring medium 3, water 0.001002.',
  example: {
    parts: [
      { massG: 30, viscosityPaS: 1.2, densityGPerMl: 1.03 },
      { massG: 15, viscosityPaS: 45, densityGPerMl: 1.2 },
      { massG: 11.25, viscosityPaS: 0.001002, densityGPerMl: 0.9982, waterFraction: 1 },
    ],
  },
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
