import { CELL_CAUSES } from '@icy-ribbon/core/judgement/cells';
import { AIR_TOOL_NAMES } from '@icy-ribbon/core/flow/air';
import { STAGES, TECHNIQUES, type StageName } from '@icy-ribbon/core/paint/stage';
import { z } from 'zod';
import { idSchema, nameSchema, pageQuery, recordFields, timestampSchema } from './common.ts';
import { shownPhotoSchema } from './photo.ts';
import { supportSnapshotSchema } from './support.ts';

const STAGE_NAMES = STAGES.map((stage) => stage.name) as [StageName, ...StageName[]];
const PIECE_SORTS = [
  'newest',
  'finished',
  'oldest',
  'name',
  'rating',
  'cells',
  'lacing',
  'petals',
  'mud',
] as const;

/** What the list of pieces can be narrowed by. */
const filterFields = {
  technique: z.enum(TECHNIQUES, 'Choose a technique.').optional(),
  tool: z.enum(AIR_TOOL_NAMES).optional(),
  /** A material that one of the cups holds. */
  materialId: idSchema.optional(),
  /** Stage of the colors' thickness when poured. */
  stage: z.enum(STAGE_NAMES).optional(),
  ratingFrom: z.coerce.number().int().min(1).max(5).optional(),
  /** Poured on this day or later, and on this day or earlier. */
  from: z.iso.date('Give a date like 2026-03-01.').optional(),
  to: z.iso.date('Give a date like 2026-03-01.').optional(),
  /** Words that occur in names, notes, cups or what to try next. */
  q: z.string().max(200).optional(),
  /** Without pieces whose pictures a stand-in made up. */
  standIns: z.literal('without', 'Leave it out, or say "without".').optional(),
  sort: z.enum(PIECE_SORTS).default('newest'),
};

const resultFilterSchema = z.object(filterFields);
/** "paint": a cup of it still holds paint; "open": it is not judged yet; "place": it lies on the rack; "show": it goes to one. */
export const PIECE_STATES = ['paint', 'open', 'place', 'show'] as const;

export const pieceListQuery = z.object({
  ...pageQuery,
  ...filterFields,
  having: z.enum(PIECE_STATES).optional(),
  /** Came out of this piece. */
  originId: idSchema.optional(),
});

/** The numbers of one pour: causes and effects by their key in core. */
export const pourNumbersSchema = z.object({
  pieceId: idSchema,
  name: z.string(),
  technique: z.enum(TECHNIQUES),
  tool: z.enum(AIR_TOOL_NAMES).nullable(),
  pouredAt: timestampSchema,
  photo: shownPhotoSchema.nullable(),
  support: supportSnapshotSchema,
  /** Its picture was made up by a stand-in. */
  standIn: z.boolean(),
  numbers: z.record(z.string(), z.number().nullable()),
});

/** The measured cells of one pour, and what the laws had expected of it. */
export const measuredCellsSchema = z.object({
  technique: z.enum(TECHNIQUES),
  /** Recipe and paint of the activator; null without one. */
  activator: z.string().nullable(),
  mm: z.number(),
  by: z.enum(CELL_CAUSES),
  measuredMm: z.number(),
});
export const pourCellsSchema = measuredCellsSchema.extend({ pieceId: idSchema, standIn: z.boolean() });

export const savedViewSchema = z.object({ ...recordFields, name: nameSchema, filter: resultFilterSchema });
export const savedViewCreateSchema = z.object({
  id: idSchema.optional(),
  name: nameSchema,
  filter: resultFilterSchema,
});

export type PieceListQuery = z.output<typeof pieceListQuery>;
export type PieceSort = (typeof PIECE_SORTS)[number];
export type ResultFilter = z.output<typeof resultFilterSchema>;
export type PourCells = z.output<typeof pourCellsSchema>;
export type PourNumbers = z.output<typeof pourNumbersSchema>;
export type SavedView = z.output<typeof savedViewSchema>;
export type SavedViewCreate = z.output<typeof savedViewCreateSchema>;
