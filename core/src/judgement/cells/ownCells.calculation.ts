import { z } from 'zod';
import { defineCalculation } from '../../base/calculation/define.ts';
import { TECHNIQUES } from '../../paint/stage/index.ts';
import { CELL_CAUSES } from './expected.ts';
import { forecastError, learnCells } from './ownCells.ts';

const sizeMm = z
  .number('Give a size in millimeters.')
  .min(0.01, 'Cells are at least 0.01 mm.')
  .max(1000, 'Cells are at most 1000 mm.');
const kind = {
  technique: z.enum(TECHNIQUES, 'Choose a technique.'),
  activator: z.string().max(200).nullable().default(null),
  mm: sizeMm,
  by: z.enum(CELL_CAUSES, `Say what opens the cells: ${CELL_CAUSES.join(', ')}.`),
};

export const ownCellsCalculation = defineCalculation({
  name: 'own-cells',
  title: 'How large cells will come out, by the laws and by measured pours',
  law: 'ln(measured / expected) = studio + technique + activator + chance, each normal around 0; the scatters of the groups and of chance are weighed by their marginal likelihood over a grid; the range holds nine of ten',
  source: 'Standard Bayesian practice: partial pooling, Lindley & Smith 1972 (from memory)',
  range: 'Any number of pours; without any it says how far the law alone may be off.',
  assumes:
    'By weight the law is good to half as much again, otherwise to not quite twice (assumptions); past pours are like the next one.',
  typical:
    'After ten pours of one technique nine of ten further ones come out between 34 % below and 51 % above the forecast (simulated studios).',
  example: {
    expected: { technique: 'bloom', activator: 'A1', mm: 2.1, by: 'sheet' },
    pours: [
      { technique: 'bloom', activator: 'A1', mm: 1.9, by: 'sheet', measuredMm: 3 },
      { technique: 'bloom', activator: 'A1', mm: 2.3, by: 'sheet', measuredMm: 3.9 },
      { technique: 'bloom', activator: 'A3', mm: 2, by: 'sheet', measuredMm: 2.8 },
    ],
  },
  input: z.strictObject({
    expected: z.strictObject(kind, 'Say what the laws expect of it.'),
    pours: z
      .array(z.strictObject({ ...kind, measuredMm: sizeMm }), 'Give the measured pours as a list.')
      .max(500, 'At most 500 pours.'),
  }),
  output: z.object({
    mm: z.number(),
    lowMm: z.number(),
    highMm: z.number(),
    n: z.int(),
    leftOut: z.object({ n: z.int(), lawLn: z.number(), ownLn: z.number(), inRange: z.number() }).nullable(),
  }),
  compute: ({ expected, pours }) => {
    const { mm, low, high, n } = learnCells(pours)(expected, expected);
    return { mm, lowMm: low, highMm: high, n, leftOut: forecastError(pours) };
  },
});
