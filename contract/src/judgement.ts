import { FAULT_KINDS } from '@icy-ribbon/core/judgement/outcome';
import { z } from 'zod';
import { idSchema, MOST_VERSION, noteSchema, timestampSchema, versionSchema } from './common.ts';
import { VERDICTS } from './plain/words.ts';

/** 0 none, 1 a trace, 2 some, 3 plenty, 4 all over. */
const degreeSchema = z.int().min(0).max(4).nullable();

/** A fault, pinned to a place of the face (shares from its top left) when it has one. */
const faultPinSchema = z.object({
  id: idSchema,
  kind: z.enum(FAULT_KINDS, 'Choose what went wrong.'),
  at: z.object({ x: z.number().min(0).max(1), y: z.number().min(0).max(1) }).nullable(),
  /** The cup it concerns, where there is one: the color that sank. */
  cupId: idSchema.nullable().default(null),
  note: noteSchema,
});

const judged = {
  /** All in all, 1 to 5. */
  rating: z.int().min(1).max(5).nullable().default(null),
  faults: z.array(faultPinSchema).max(60).default([]),
  /** The edge that hangs up: 0 top, 90 right, 180 bottom, 270 left. */
  hangingDeg: z
    .union([z.literal(0), z.literal(90), z.literal(180), z.literal(270)])
    .nullable()
    .default(null),
  verdict: z.enum(VERDICTS).nullable().default(null),
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
  version: versionSchema,
  createdAt: timestampSchema,
  updatedAt: timestampSchema,
});

export const judgementPutSchema = z.object({
  ...judged,
  /** 0 for the first judgement of a piece, else the version that was edited. */
  version: z.int().min(0).max(MOST_VERSION),
});

export type FaultPin = z.output<typeof faultPinSchema>;
export type Judgement = z.output<typeof judgementSchema>;
export type JudgementPut = z.output<typeof judgementPutSchema>;
