import { z } from 'zod';
import { defineCalculation } from '../../base/calculation/define.ts';
import { InputError } from '../../base/error/index.ts';
import { withoutDrift } from '../../base/statistics/index.ts';
import { LEAST_POURS } from './madeTheDifference.ts';

const MOST = 1e12;
const column = (what: string) =>
  z
    .array(
      z
        .number('Give numbers.')
        .min(-MOST, 'That is beyond all measure.')
        .max(MOST, 'That is beyond all measure.'),
      `Give ${what}, a number for each pour.`,
    )
    .max(2000, 'At most 2000 pours.');

export const differenceCalculation = defineCalculation({
  name: 'difference',
  title: 'What went with an effect beyond chance, over a number of pours',
  law: 'what changes smoothly with the order of the pours is taken out first, one bend for every eight; then forward selection of the largest |r|, each step below 10 % of the permuted effect’s; least squares on what was chosen, Student’s t shared out by Bonferroni over all that were looked at (90 % together); causes of |r| > 0.75 are named together',
  source:
    'Standard statistics: Frisch & Waugh 1933, partial regression; Fisher 1935, permutation; Bonferroni 1936 (from memory)',
  range: `From ${LEAST_POURS} pours on.`,
  assumes:
    'Pours are listed in the order they were poured. Effects are straight lines. It finds association, not proof: causes that always changed together can’t be separated.',
  typical:
    'Without any cause it names one in about one of ten studios, drifting or not; one of correlation 0.7 it finds in six of ten studios at 15 pours, in nineteen of twenty at 30.',
  example: {
    effect: [2.1, 2.6, 1.8, 3.1, 2.9, 2.2, 3.4, 1.7, 2.5, 3],
    causes: {
      activatorShare: [0.08, 0.11, 0.06, 0.14, 0.13, 0.09, 0.16, 0.05, 0.1, 0.14],
      distanceMm: [100, 140, 90, 110, 150, 120, 95, 130, 105, 125],
    },
  },
  input: z.strictObject({
    effect: column('the effect'),
    causes: z.record(z.string(), column('a cause'), 'Give the causes by their names.'),
  }),
  output: z.object({
    speaks: z.boolean(),
    n: z.int(),
    found: z.array(
      z.object({ names: z.array(z.string()), slope: z.number(), low: z.number(), high: z.number() }),
    ),
  }),
  compute: ({ effect, causes }) => {
    const n = effect.length;
    const candidates = Object.entries(causes).map(([name, values]) => ({ name, values }));
    const odd = candidates.find(({ values }) => values.length !== n);
    if (odd) {
      throw new InputError(`causes.${odd.name}`, `Give as many numbers as for the effect: ${n}.`);
    }
    const found = n < LEAST_POURS ? [] : withoutDrift(effect, candidates);
    return {
      speaks: found.length > 0,
      n,
      found: found.map(({ names, ...range }) => ({ names: [...names], ...range })),
    };
  },
});
