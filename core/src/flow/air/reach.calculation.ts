import { z } from 'zod';
import { defineCalculation } from '../../base/calculation/define.ts';
import { positive, viscosityPaS } from '../../base/calculation/fields.ts';
import { passReachMm, peakShearPa } from './shear.ts';

export const reachCalculation = defineCalculation({
  name: 'reach',
  title: 'How hard a pass pulls at the paint, and how far it carries it',
  law: 'tau = 44.6 rho_air U0^2 Re^(-1/2) (H/d)^(-2); the surface runs at tau sum(h/mu) (1 + tau / 3 Pa), tau falls as 1/r^2',
  source:
    'Phares, Smedley & Flagan 2000 (from memory); fall-off, slant and the 3 Pa are assumptions of the film model',
  range: 'A round jet beyond about 5 exits; thin films that do not run dry.',
  assumes: 'Air of 20 °C; paint thins when it is sheared, twice as fast at 3 Pa.',
  typical: 'Mouth 15 m/s from 9 mm at 100 mm: some 1.5 Pa.',
  example: {
    exitSpeedMS: 15,
    exitDiameterMm: 9,
    distanceMm: 100,
    slantDeg: 30,
    seconds: 3,
    layers: [
      { thicknessMm: 2, viscosityPaS: 2 },
      { thicknessMm: 0.3, viscosityPaS: 0.5 },
    ],
  },
  input: z.strictObject({
    exitSpeedMS: positive('the exit speed in m/s'),
    exitDiameterMm: positive('the exit’s diameter in mm'),
    distanceMm: positive('the distance in mm'),
    slantDeg: positive('the slant in degrees').max(90, 'The slant is at most 90 degrees: straight down.'),
    seconds: positive('the time in seconds').max(3600, 'A pass lasts at most an hour.'),
    layers: z
      .array(
        z.strictObject({ thicknessMm: positive('the thickness in mm'), viscosityPaS }),
        'Give the layers that move, from the bottom up.',
      )
      .min(1, 'Give the layers that move, from the bottom up.')
      .max(50),
  }),
  output: z.object({ shearPa: z.number(), reachMm: z.number() }),
  compute: ({ layers, ...jet }) => ({ shearPa: peakShearPa(jet), reachMm: passReachMm(jet, { layers }) }),
});
