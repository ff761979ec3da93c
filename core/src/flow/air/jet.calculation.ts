import { z } from 'zod';
import { defineCalculation } from '../../base/calculation/define.ts';
import { densityKgM3, positive } from '../../base/calculation/fields.ts';
import { jetOnPaint } from './jet.ts';
import { exitWords } from './tools.ts';

export const jetCalculation = defineCalculation({
  name: 'jet',
  title: 'Speed, pressure and dent of the air on the paint',
  law: 'U = min(U0, 6.2 U0 d/x); P = rho_air U^2 sin^2(slant) / 2; dent = P / (rho g)',
  source: 'Rajaratnam 1976; Hussein, Capp & George 1994 (from memory)',
  range: 'A round jet in still air, shallow dents; slant from the surface, 90 is straight down.',
  assumes: 'Air of 20 °C, 1.204 kg/m3; the dent has time to form and the paint to run aside.',
  typical: `${exitWords('mouth')}; ${exitWords('hair-dryer')}.`,
  example: { exitSpeedMS: 15, exitDiameterMm: 9, distanceMm: 100, slantDeg: 90, paintDensityKgM3: 1150 },
  input: z.strictObject({
    exitSpeedMS: positive('the exit speed in m/s'),
    exitDiameterMm: positive('the exit’s diameter in mm'),
    distanceMm: positive('the distance in mm'),
    slantDeg: positive('the slant in degrees').max(90, 'The slant is at most 90 degrees: straight down.'),
    paintDensityKgM3: densityKgM3,
  }),
  output: z.object({ speedMS: z.number(), pressurePa: z.number(), dentMm: z.number() }),
  compute: (input) => jetOnPaint(input),
});
