import { CARE_DATA } from '@icy-ribbon/core/piece/care';
import { z } from 'zod';
import { idSchema, timestampSchema } from './common.ts';
import { logSchema } from './log.ts';

/** The log of a piece after its pour: append-only, as that of the pour. */
export const careEventSchema = logSchema(CARE_DATA, { id: idSchema, at: timestampSchema });

export type CareEvent = z.output<typeof careEventSchema>;

export const ORIGIN_WAYS = ['alter', 'pour-over', 'ground', 'scrape', 'crop'] as const;

/** The piece out of which another came, and how. */
export const originSchema = z.object({
  pieceId: idSchema,
  how: z.enum(ORIGIN_WAYS, 'Choose how it came out of the other.'),
  /** Of a crop: the part, shares of the face from its top left. */
  part: z
    .object({
      x: z.number().min(0).max(1),
      y: z.number().min(0).max(1),
      width: z.number().min(0).max(1),
      height: z.number().min(0).max(1),
    })
    .nullable()
    .default(null),
});
export type Origin = z.output<typeof originSchema>;
