import { z } from 'zod';
import { defineCalculation } from '../../base/calculation/define.ts';
import { densityKgM3, positive } from '../../base/calculation/fields.ts';
import { deepDentMm } from './deepDent.ts';
import { exitWords } from './tools.ts';

export const deepDentCalculation = defineCalculation({
  name: 'deep-dent',
  title: 'Depth of the hole that air digs when the dent is deep beside the distance',
  law: 'M / (rho g H^3) = (pi / 2 K^2)(n/H)(1 + n/H)^2; M = pi/4 d^2 rho_air U0^2; K = 7',
  source: 'Banks & Chandrasekhara 1963 (from memory)',
  range: 'Straight down, far from the exit, in paint that is deep enough.',
  assumes: 'The steady depth: a short pass digs less. K of 6 to 8 is found.',
  typical: `${exitWords('leaf-blower')}; ${exitWords('straw')}.`,
  example: { exitSpeedMS: 15, exitDiameterMm: 9, distanceMm: 40, paintDensityKgM3: 1150 },
  input: z.strictObject({
    exitSpeedMS: positive('the exit speed in m/s'),
    exitDiameterMm: positive('the exit’s diameter in mm'),
    distanceMm: positive('the distance in mm'),
    paintDensityKgM3: densityKgM3,
  }),
  output: z.object({ dentMm: z.number() }),
  compute: (input) => ({ dentMm: deepDentMm(input) }),
});
