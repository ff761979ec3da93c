import { z } from 'zod';
import { defineCalculation } from '../../base/calculation/define.ts';
import { viscosityPaS } from '../../base/calculation/fields.ts';
import { eyeOf } from './eye.ts';

export const eyeCalculation = defineCalculation({
  name: 'eye',
  title: 'How an artist’s words for thickness lie',
  law: 'off_i = ln(said_i / shown_i); s^2 = (6 * 0.5^2 + sum (off_i - mean)^2) / (6 + n - 1); bias = (sum off_i / s^2) / (n / s^2 + 1 / 0.35^2)',
  source: 'Normal mean with a normal prior, pooled variance (standard statistics)',
  range: 'Mounds that were shown moving and named by a stage; said is the middle of that stage.',
  assumes:
    'An eye is off by the same factor at every thickness. What a screen leaves open: 0.15 of the bias and 0.25 of a single word (assumptions).',
  typical: 'Before any is named: bias 0 with sd 0.35, a single word 0.5.',
  example: {
    named: [
      { shownPaS: 1.5, saidPaS: 2.68 },
      { shownPaS: 0.5, saidPaS: 0.561 },
      { shownPaS: 0.9, saidPaS: 1.2 },
    ],
  },
  input: z.strictObject({
    named: z
      .array(
        z.strictObject({ shownPaS: viscosityPaS, saidPaS: viscosityPaS }),
        'Give what was named as a list.',
      )
      .max(10_000, 'At most 10,000 can be looked at.'),
  }),
  output: z.object({ ln: z.number(), sdLn: z.number(), spreadLn: z.number(), named: z.number() }),
  compute: ({ named }) => eyeOf(named),
});
