import { z } from 'zod';
import { defineCalculation } from '../../base/calculation/define.ts';
import { notNegative, positive } from '../../base/calculation/fields.ts';
import { mixColor } from './mixColor.ts';

export const mixColorCalculation = defineCalculation({
  name: 'mix-color',
  title: 'The color of paints stirred together',
  law: 'K/S of the mixture = sum of amounts x K/S, on reflectance curves rebuilt from sRGB',
  source: 'Kubelka & Munk 1931 (from memory), as the library spectral.js does it',
  range: 'Opaque films seen by daylight.',
  assumes:
    'It knows nothing of the pigments behind a color, nor, where it is not said, of how strongly they tint.',
  typical: 'Blue and yellow alike give a dull green.',
  example: {
    parts: [
      { hex: '#1d3f86', amount: 1 },
      { hex: '#f0b429', amount: 1 },
    ],
  },
  input: z.strictObject({
    parts: z
      .array(
        z.strictObject({
          hex: z.string('Give a color as #rrggbb.').regex(/^#[0-9a-f]{6}$/i, 'Give a color as #rrggbb.'),
          strength: positive('the tinting strength').max(20, 'At most 20.').optional(),
          amount: notNegative('the amount').max(1e9, 'That is more than there can be.'),
        }),
        'Give the colors that are mixed.',
      )
      .min(1, 'Give at least one color.')
      .max(50),
  }),
  output: z.object({ hex: z.string() }),
  compute: ({ parts }) => ({ hex: mixColor(parts) }),
});
