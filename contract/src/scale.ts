import { z } from 'zod';
import { massMgSchema } from './common.ts';

/** One reading of a kitchen scale, real or simulated. */
export const scaleReadingSchema = z.object({
  /** What the display shows, tare taken off; may be below zero. */
  mg: z.int(),
  settled: z.boolean(),
  overload: z.boolean(),
  /** Whether the stand-in is pouring by itself right now. */
  pouring: z.boolean(),
});

export const scaleInfoSchema = z.object({
  name: z.string(),
  capacityMg: z.int().positive(),
  resolutionMg: z.int().positive(),
  standIn: z.boolean(),
});

/** Asks the stand-in to pour this much more into the cup on it. */
export const standInPourSchema = z.object({ mg: massMgSchema.min(1, 'Pour more than 0 g.') });

/** Things that happen at a table, to try them on the stand-in. */
export const disturbanceSchema = z.object({
  kind: z.enum(['bump', 'overload', 'drop-out']),
});

export type ScaleReading = z.output<typeof scaleReadingSchema>;
export type ScaleInfo = z.output<typeof scaleInfoSchema>;
