import { z } from 'zod';
import { defineCalculation } from '../../base/calculation/define.ts';
import { positive, viscosityPaS } from '../../base/calculation/fields.ts';
import { passReachMm, shearAheadPa } from './shear.ts';

const MOUTH = { exitSpeedMS: 15, exitDiameterMm: 9, distanceMm: 100, slantDeg: 30 };

export const reachCalculation = defineCalculation({
  name: 'reach',
  title: 'How hard a pass pulls at the paint, and how far it carries it',
  law: 'tau = 0.025 rho_air U^2 (sin + cos of the slant), U = U0 min(1, 6.2 d/x) out to 2 b ahead of where the air lands, b = max(0.1 x, 0.62 d), then falling as 1/r; the surface runs at tau sum(h/mu) (1 + tau / 3 Pa, at most 5), less rho g h^2/(3 r) sum(h/mu) that runs back, h at most what a rim holds',
  source:
    'Round jet: Rajaratnam 1976; wall jet falling as 1/r: Launder & Rodi 1983 (both from memory); friction, slant and the 3 Pa are assumptions of the film model',
  range: 'A round jet; films that do not run dry.',
  assumes: 'Air of 20 °C; paint thins when it is sheared, twice as fast at 3 Pa.',
  typical: `Mouth 15 m/s from 9 mm at 100 mm: some ${shearAheadPa(MOUTH, 0).toPrecision(2)} Pa.`,
  example: {
    ...MOUTH,
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
  compute: ({ layers, ...jet }) => ({ shearPa: shearAheadPa(jet, 0), reachMm: passReachMm(jet, { layers }) }),
});
