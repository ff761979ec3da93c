import { z } from 'zod';
import { noteSchema, timestampSchema } from './common.ts';

/** 0 none, 1 a trace, 2 some, 3 plenty, 4 all over. */
export const degreeSchema = z.int().min(0).max(4).nullable();

const judged = {
  cells: degreeSchema,
  lacing: degreeSchema,
  petals: degreeSchema,
  mud: degreeSchema,
  /** Diameter of a usual cell, measured by hand. */
  cellSizeMm: z
    .number('Give the cell size as a number.')
    .min(0.1, 'A cell is at least 0.1 mm wide.')
    .max(100, 'A cell is at most 100 mm wide.')
    .nullable(),
  tryNext: noteSchema,
  note: noteSchema,
};

export const judgementSchema = z.object({
  ...judged,
  version: z.int().min(1),
  createdAt: timestampSchema,
  updatedAt: timestampSchema,
});

export const judgementPutSchema = z.object({
  ...judged,
  /** 0 for the first judgement of a piece, else the version that was edited. */
  version: z.int().min(0),
});

export type Judgement = z.output<typeof judgementSchema>;
export type JudgementPut = z.output<typeof judgementPutSchema>;
export const DEGREE_WORDS = ['none', 'a trace', 'some', 'plenty', 'all over'] as const;
export const RATED = ['cells', 'lacing', 'petals', 'mud'] as const;
export type Rated = (typeof RATED)[number];
