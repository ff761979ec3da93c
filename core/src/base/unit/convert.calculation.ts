import { z } from 'zod';
import { defineCalculation } from '../calculation/define.ts';
import { densityGPerMl } from '../calculation/fields.ts';
import { convert } from './convert.ts';

export const convertCalculation = defineCalculation({
  name: 'convert',
  title: 'A value in another unit; weight and volume convert by density',
  law: 'value x (from in base units) / (to in base units); ml = g / density',
  source: 'NIST SP 811 and Handbook 44 (from memory); drop and smidgen: common practice',
  range: 'Any finite value. A smidgen must say its size, an ounce is a weight and "fl oz" a volume.',
  assumes: 'An ounce is the avoirdupois one, a spoon the US one, a drop the metric one.',
  typical: 'Drop 0.05 ml; smidgen 1/32 or 1/16 tsp, depending on the spoon set.',
  example: { value: 2.2, from: 'oz', to: 'g' },
  input: z.strictObject({
    value: z.number('Give the value as a number.'),
    from: z.string('Name the unit to convert from.'),
    to: z.string('Name the unit to convert to.'),
    densityGPerMl: densityGPerMl.optional(),
  }),
  output: z.object({ value: z.number() }),
  compute: (input) => ({
    value: convert(input.value, input.from, input.to, input.densityGPerMl),
  }),
});
