import { z } from 'zod';
import { defineCalculation } from '../../base/calculation/define.ts';
import { densityKgM3, positive, seconds, viscosityPaS } from '../../base/calculation/fields.ts';
import { filmLeftMm, meanFilmLeftMm } from './filmLeft.ts';

export const filmLeftCalculation = defineCalculation({
  name: 'film-left',
  title: 'Thickness of the film that stays on a tilted face',
  law: 'h = sqrt(mu L / (rho g sin(a) t)) at the lower edge; 2/3 of it in the mean',
  source: 'Jeffreys 1930 (from memory)',
  range: 'Away from the edges, once the film is thinner than it started.',
  assumes: 'A liquid of one viscosity; no drying meanwhile.',
  typical: 'A Dutch base keeps about 0.8 mm in the mean after half a minute at 30 degrees.',
  example: { viscosityPaS: 0.8, densityKgM3: 1100, lengthM: 0.3, tiltDeg: 30, seconds: 30 },
  input: z.strictObject({
    viscosityPaS,
    densityKgM3,
    lengthM: positive('the length down the slope in m'),
    tiltDeg: positive('the tilt from level in degrees').max(90, 'The tilt is at most 90 degrees.'),
    seconds,
  }),
  output: z.object({ thicknessMm: z.number(), meanMm: z.number() }),
  compute: (input) => ({ thicknessMm: filmLeftMm(input), meanMm: meanFilmLeftMm(input) }),
});
