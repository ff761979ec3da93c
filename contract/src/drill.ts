import { DRILL_NAMES } from '@icy-ribbon/core/drill/schedule';
import { z } from 'zod';
import { idSchema, recordFields } from './common.ts';

const MOST_ANSWERS = 100;
const MOST_MEASURES = 30;

const amountSchema = z
  .number('Give the number.')
  .min(1e-6, 'It must be above 0.')
  .max(1e6, 'That is more than any drill shows.');

const playedFields = {
  drill: z.enum(DRILL_NAMES, 'Say which drill it was.'),
  score: z
    .number('Give the score.')
    .min(0, 'A score lies between 0 and 100.')
    .max(100, 'A score lies between 0 and 100.'),
  /** What was shown and what was said of it: Pa.s for a mound, grams for a puddle. */
  answers: z
    .array(z.object({ shown: amountSchema, said: amountSchema }))
    .max(MOST_ANSWERS, `At most ${MOST_ANSWERS} answers can be kept.`),
  /** Further numbers of the drill, by name. */
  measures: z
    .record(z.string().max(40), z.number().min(-1e6).max(1e6))
    .refine(
      (all) => Object.keys(all).length <= MOST_MEASURES,
      `At most ${MOST_MEASURES} numbers can be kept.`,
    )
    .meta({ maxProperties: MOST_MEASURES }),
};

/** One drill that was played to its end. */
export const drillRunSchema = z.object({ ...recordFields, ...playedFields });
export const drillRunCreateSchema = z.object({ id: idSchema.optional(), ...playedFields });

export type DrillRun = z.output<typeof drillRunSchema>;
export type DrillRunCreate = z.output<typeof drillRunCreateSchema>;
