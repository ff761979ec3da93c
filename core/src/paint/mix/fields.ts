import { z } from 'zod';
import { densityGPerMl, fraction, viscosityPaS } from '../../base/calculation/fields.ts';

export const mixPartsSchema = z
  .array(
    z.strictObject({
      massG: z.number('Give grams as a number.').min(0, 'Grams must be 0 or more.'),
      viscosityPaS,
      densityGPerMl,
      waterFraction: fraction.optional(),
    }),
    'Give the parts as a list.',
  )
  .min(1, 'A mix needs at least one part.');
