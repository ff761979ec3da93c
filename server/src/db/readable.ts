import type { z } from 'zod';

/** Of the rows of a list those that can be read; one that was damaged takes no other with it. */
export function readable<Record>(schema: z.ZodType<Record>, rows: readonly unknown[]): Record[] {
  return rows.flatMap((row) => {
    const checked = schema.safeParse(row);
    return checked.success ? [checked.data] : [];
  });
}
