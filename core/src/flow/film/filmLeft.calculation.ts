import { z } from 'zod';
import { defineCalculation } from '../../base/calculation/define.ts';
import { densityKgM3, positive, seconds, viscosityPaS } from '../../base/calculation/fields.ts';
import { filmLeftMm } from './filmLeft.ts';

export const filmLeftCalculation = defineCalculation({
  name: 'film-left',
  title: 'Thickness of the film that stays on a tilted face',
  law: 'h = sqrt(mu L / (rho g sin(a) t))',
  source: 'Jeffreys 1930 (from memory)',
  range: 'Away from the edges, once the film is thinner than it started.',
  assumes: 'A liquid of one viscosity; no drying meanwhile.',
  typical: 'A Dutch base keeps about 1 mm after half a minute at 30 degrees.',
  example: { viscosityPaS: 0.8, densityKgM3: 1100, lengthM: 0.3, tiltDeg: 30, seconds: 30 },
  input: z.strictObject({
    viscosityPaS,
    densityKgM3,
    lengthM: positive('the length down the slope in m'),
    tiltDeg: positive('the tilt from level in degrees').max(90, 'The tilt is at most 90 degrees.'),
    seconds,
  }),
  output: z.object({ thicknessMm: z.number() }),
  compute: (input) => ({ thicknessMm: filmLeftMm(input) }),
});
