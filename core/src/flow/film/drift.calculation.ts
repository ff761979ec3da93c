import { z } from 'zod';
import { defineCalculation } from '../../base/calculation/define.ts';
import { densityKgM3, notNegative, positive, viscosityPaS } from '../../base/calculation/fields.ts';
import { driftMm } from './drift.ts';

const OVERNIGHT = {
  thicknessMm: 1,
  viscosityPaS: 1,
  densityKgM3: 1100,
  slopeMmPerM: 2,
  lengthMm: 400,
  dryingSeconds: 15_600,
};

export const driftCalculation = defineCalculation({
  name: 'drift',
  title: 'How far a design creeps on a rack that is not level',
  law: 's = 1/1000 rho g sin(a) h^2 / (2 mu) x T / ln 1000 in mm, h in mm, sin(a) of a = arctan(slope / 1000); at most 3/2 sin(a) L^2 / (8 h)',
  source: 'Nusselt’s film on an incline (from memory); how paint sets: an assumption',
  range: 'Slight slopes, away from the edges, as long as the rim holds the paint.',
  assumes:
    'A liquid of one viscosity that grows evenly in its logarithm to a thousand times while the water leaves.',
  typical: `2 mm on a meter moves a millimeter of paint of 1 Pa·s on 40 cm by ${(driftMm(OVERNIGHT) / 10).toFixed(1)} cm overnight.`,
  example: OVERNIGHT,
  input: z.strictObject({
    thicknessMm: positive('the thickness in mm'),
    viscosityPaS,
    densityKgM3,
    slopeMmPerM: notNegative('the slope in mm on a meter'),
    lengthMm: positive('the length down the slope in mm'),
    dryingSeconds: positive('the seconds in which it dries'),
  }),
  output: z.object({ driftMm: z.number() }),
  compute: (input) => ({ driftMm: driftMm(input) }),
});
