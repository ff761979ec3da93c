import { z } from 'zod';
import { defineCalculation } from '../../base/calculation/define.ts';
import { labDifference } from './difference.ts';

const lab = z.tuple(
  [
    z.number('L is a number.').min(0, 'L lies between 0 and 100.').max(100, 'L lies between 0 and 100.'),
    z
      .number('a is a number.')
      .min(-300, 'a lies between -300 and 300.')
      .max(300, 'a lies between -300 and 300.'),
    z
      .number('b is a number.')
      .min(-300, 'b lies between -300 and 300.')
      .max(300, 'b lies between -300 and 300.'),
  ],
  'Give a color as [L, a, b].',
);

export const colorDifferenceCalculation = defineCalculation({
  name: 'color-difference',
  title: 'How different two colors look',
  law: 'CIEDE2000 with all weights 1',
  source: 'Sharma, Wu & Dalal 2005, as a color library computes it',
  range: 'Colors in CIELAB; small differences best.',
  assumes: 'Both under one light, side by side.',
  typical: 'Below 1 is not seen side by side; 2 to 3 is seen at a look (common practice).',
  example: { a: [50, 2.6772, -79.7751], b: [50, 0, -82.7485] },
  input: z.strictObject({ a: lab, b: lab }),
  output: z.object({ de2000: z.number() }),
  compute: ({ a, b }) => ({ de2000: labDifference(a, b) }),
});
