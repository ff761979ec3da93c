import { FIT_NAMES } from '@icy-ribbon/core/judgement/fit';
import { z } from 'zod';
import { timestampSchema } from './common.ts';

const perName = (value: z.ZodNumber) =>
  z.object(
    Object.fromEntries(FIT_NAMES.map((name) => [name, value])) as Record<
      (typeof FIT_NAMES)[number],
      z.ZodNumber
    >,
  );
const faceShare = z
  .number('Give the error.')
  .min(0, 'An error is 0 or more.')
  .max(1, 'An error is at most the whole face.');
const errorSchema = z.object({
  negativeSpace: faceShare,
  coverage: faceShare.nullable(),
  sheet: faceShare.nullable(),
  cellsLn: z
    .number('Give the error.')
    .min(0, 'An error is 0 or more.')
    .max(20, 'An error this large says nothing.')
    .nullable(),
});

/** What the artist's measured pours say of the film's unknowns. */
export const filmFitSchema = z.object({
  values: perName(
    z.number('Give the value.').min(1e-6, 'It must be above 0.').max(1e6, 'That is out of all bounds.'),
  ),
  /** Spread of ln of each. */
  sdLn: perName(
    z
      .number('Give the spread.')
      .min(0, 'A spread is 0 or more.')
      .max(10, 'A spread this large says nothing.'),
  ),
  n: z
    .int('Give how many pours.')
    .min(1, 'It rests on one pour at least.')
    .max(100_000, 'So many pours are not kept.'),
  /** Of these, pours with cells. */
  nCells: z
    .int('Give how many pours have cells.')
    .min(0, 'That is 0 or more.')
    .max(100_000, 'So many pours are not kept.'),
  /** Each pour told by the film as usual, and by a fit to all the others: mean distance as a share of the face, of the number of cells in ln; null where no pour tells. */
  before: errorSchema,
  after: errorSchema,
  helps: z.boolean('Say whether it helps.'),
});
export const keptFilmFitSchema = filmFitSchema.extend({ fittedAt: timestampSchema });

export type KeptFilmFit = z.output<typeof keptFilmFitSchema>;
