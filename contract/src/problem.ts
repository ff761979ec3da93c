import { z } from 'zod';

/** An error as RFC 9457 has it, with the fields that caused it. */
export const problemSchema = z.object({
  type: z.string(),
  title: z.string(),
  status: z.int(),
  detail: z.string().optional(),
  errors: z.array(z.object({ path: z.string(), message: z.string() })).optional(),
  /** On 409: the record as it is now. */
  current: z.unknown().optional(),
});

export type Problem = z.output<typeof problemSchema>;
export type FieldError = { readonly path: string; readonly message: string };
