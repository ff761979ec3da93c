import { z } from 'zod';
import { archiveResultSchema } from './archive.ts';
import { idSchema } from './common.ts';
import { importResultSchema } from './document.ts';
import { materialImportResultSchema } from './material.ts';
import { problemSchema } from './problem.ts';

const IMPORT_STATES = ['waiting', 'running', 'done', 'refused', 'cancelled'] as const;

/** A file on its way in: read beside everything else, watched and called off by its id. */
export const importJobSchema = z.object({
  id: idSchema,
  kind: z.enum(['studio', 'piece', 'materials']),
  state: z.enum(IMPORT_STATES),
  /** What is being done, and how far it has come. */
  phase: z.string(),
  done: z.number(),
  total: z.number(),
  /** What came of it, once it is done. */
  result: z
    .object({
      studio: archiveResultSchema.optional(),
      piece: importResultSchema.optional(),
      materials: materialImportResultSchema.optional(),
    })
    .nullable(),
  /** Why it was refused; nothing was kept then. */
  problem: problemSchema.nullable(),
});

export type ImportJob = z.output<typeof importJobSchema>;
export type ImportKind = ImportJob['kind'];
