import { z } from 'zod';
import { defineCalculation } from '../../base/calculation/define.ts';
import { densityGPerMl, seconds } from '../../base/calculation/fields.ts';
import { DRAIN_CUP_NAMES, DRAIN_CUPS, drained } from './drainCup.ts';

export const drainCupCalculation = defineCalculation({
  name: 'drain-cup',
  title: 'Viscosity from the seconds a cup with a hole takes to drain',
  law: 'nu (mm2/s) of t (s): ISO 3 mm 0.443 t - 200/t, 4 mm 1.37 t - 200/t, 5 mm 3.28 t - 220/t, 6 mm 6.90 t - 570/t; Ford 4 3.85 (t - 4.49); Zahn 2 3.5 (t - 14), 3 11.7 (t - 7.5), 4 14.8 (t - 5); mu = nu rho',
  source: 'ISO 2431; ASTM D1200; ASTM D4212 (from memory)',
  range: 'ISO 30 to 100 s, Ford 20 to 100 s, Zahn 20 to 80 s; outside it is computed and said to be outside.',
  assumes: 'A full cup, the stream timed until it breaks; thin paint that hardly shears thinner.',
  typical: 'Spread of ln(viscosity) 0.08.',
  example: { cup: 'iso-4', seconds: 60, densityGPerMl: 1.1 },
  input: z.strictObject({
    cup: z.enum(DRAIN_CUP_NAMES, `The cup is one of ${DRAIN_CUP_NAMES.join(', ')}.`),
    seconds,
    densityGPerMl,
  }),
  output: z.object({ kinematicMm2S: z.number(), viscosityPaS: z.number(), inRange: z.boolean() }),
  compute: ({ cup, seconds: time, densityGPerMl: density }) => drained(DRAIN_CUPS[cup], time, density),
});
