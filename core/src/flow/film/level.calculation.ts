import { z } from 'zod';
import { defineCalculation } from '../../base/calculation/define.ts';
import { densityKgM3, notNegative, positive, viscosityPaS } from '../../base/calculation/fields.ts';
import { levelingRate } from './level.ts';

export const levelCalculation = defineCalculation({
  name: 'level',
  title: 'How fast a ripple or a mound levels',
  law: 'rate = (rho g + gamma k^2) / (2 mu k) (sinh kh cosh kh - kh) / (cosh^2 kh + k^2 h^2), k = 2 pi / wavelength',
  source: 'Orchard 1962 (from memory)',
  range: 'Ripples low beside their length.',
  assumes:
    'A liquid of one viscosity; paint that thins when stirred levels slower than this as it comes to rest.',
  typical: 'Surface tension 0.03 N/m.',
  example: { wavelengthMm: 10, thicknessMm: 1, viscosityPaS: 0.8, densityKgM3: 1100, surfaceTensionNM: 0.03 },
  input: z.strictObject({
    wavelengthMm: positive('the wavelength in mm'),
    thicknessMm: positive('the thickness in mm'),
    viscosityPaS,
    densityKgM3,
    surfaceTensionNM: notNegative('the surface tension in N/m'),
  }),
  output: z.object({ ratePerS: z.number() }),
  compute: (input) => ({ ratePerS: levelingRate(input) }),
});
