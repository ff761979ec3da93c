import { z } from 'zod';
import { defineCalculation } from '../../base/calculation/define.ts';
import { densityKgM3, notNegative, positive, viscosityPaS } from '../../base/calculation/fields.ts';
import { cellForecast, SURFACE_TENSION_NM } from './cells.ts';

const layer = (which: string) =>
  z.strictObject(
    { thicknessMm: positive('the thickness in mm'), viscosityPaS, densityKgM3 },
    `Describe the ${which} layer.`,
  );

export const cellsCalculation = defineCalculation({
  name: 'cells',
  title: 'Whether a heavier layer on a lighter one opens into cells, how large and how soon',
  law: 'Stokes flow in two layers on a support with a free surface: d(eta)/dt = M(k) eta; the rate is the largest eigenvalue of M, the spacing the k where it peaks',
  source:
    'Rayleigh-Taylor stability in creeping flow, worked out in full; for paint on paint measured by Zetina, Godinez & Zenit, PLOS ONE 2015 (from memory)',
  range: 'Small ripples at the start; the cells that are seen keep about that spacing.',
  assumes:
    'Layers of even thickness that do not mix or dry meanwhile. Air, torch and silicone open cells too: of these it says nothing.',
  typical: 'Surface tension 0.03 N/m; none between water-based paints.',
  example: {
    lower: { thicknessMm: 2, viscosityPaS: 2, densityKgM3: 1070 },
    upper: { thicknessMm: 0.3, viscosityPaS: 0.5, densityKgM3: 1120 },
  },
  input: z.strictObject({
    lower: layer('lower'),
    upper: layer('upper'),
    interfacialTensionNM: notNegative('the interfacial tension in N/m').optional(),
    surfaceTensionNM: notNegative('the surface tension in N/m').optional(),
  }),
  output: z.object({
    stable: z.boolean(),
    wavelengthMm: z.number().nullable(),
    growthPerS: z.number().nullable(),
    openingSeconds: z.number().nullable(),
  }),
  compute: ({ lower, upper, interfacialTensionNM = 0, surfaceTensionNM = SURFACE_TENSION_NM }) =>
    cellForecast({ lower, upper, interfacialTensionNM, surfaceTensionNM }),
});
