import { AIR_TOOL_NAMES } from '@icy-ribbon/core/flow/air';
import { COAT_KINDS } from '@icy-ribbon/core/flow/drying';
import { CARE_CHECKS, DECISIONS } from '@icy-ribbon/core/piece/care';
import { PIECE_PHASES } from '@icy-ribbon/core/piece/progress';
import { AIMS, CUP_ROLES, NO_AIMS, TECHNIQUES } from '@icy-ribbon/core/paint/stage';
import { PHOTO_QUANTITY_KEYS, type PhotoQuantityKey } from '@icy-ribbon/core/judgement/outcome';
import { z } from 'zod';
import {
  hexColorSchema,
  idSchema,
  nameSchema,
  noteSchema,
  pageOf,
  recordFields,
  sumMgSchema,
  timestampSchema,
  versionSchema,
} from './common.ts';
import { careEventSchema, originSchema } from './care.ts';
import { judgementSchema } from './judgement.ts';
import { mixSchema } from './mix.ts';
import { MOST, MOST_COLORS } from './plain/most.ts';
import { photoSchema, shownPhotoSchema } from './photo.ts';
import { piecePlanSchema } from './plan.ts';
import { pourEventSchema } from './pour.ts';
import { readingSchema } from './reading.ts';
import { supportSnapshotSchema } from './support.ts';

const techniqueSchema = z.enum(TECHNIQUES, 'Choose a technique.');

/** What the artist wants of it; null is not chosen. */
export const aimsSchema = z.object({
  thickness: z.enum(AIMS.thickness).nullable(),
  cells: z.enum(AIMS.cells).nullable(),
  lacing: z.enum(AIMS.lacing).nullable(),
  reach: z.enum(AIMS.reach).nullable(),
  negativeSpace: z.enum(AIMS.negativeSpace).nullable(),
});

/** How many colors a piece shall have; null is not said. */
export const colorsSchema = z
  .int('Colors are whole.')
  .min(1, 'At least one color.')
  .max(MOST_COLORS, `At most ${MOST_COLORS} colors.`)
  .nullable();

/** What of a piece a record that cannot be read is. */
const RECORD_KINDS = ['mix', 'reading', 'event', 'care', 'photo', 'plan', 'judgement'] as const;

/** A record that cannot be read, and why. */
export const damagedRecordSchema = z.object({
  what: z.enum(RECORD_KINDS),
  id: z.string().max(200),
  reason: z.string().max(400),
});

/** A piece with everything that belongs to it. */
export const pieceSchema = z.object({
  ...recordFields,
  name: nameSchema,
  technique: techniqueSchema,
  aims: aimsSchema.default(NO_AIMS),
  colors: colorsSchema.default(null),
  /** When it got its top coat. */
  topCoatedAt: timestampSchema.nullable().default(null),
  /** When it was found touch-dry. */
  touchDryAt: timestampSchema.nullable().default(null),
  /** The piece that it came out of. */
  origin: originSchema.nullable().default(null),
  note: noteSchema,
  support: supportSnapshotSchema,
  mixes: z.array(mixSchema).max(MOST.cupsOfPiece, `A piece has at most ${MOST.cupsOfPiece} cups.`),
  readings: z
    .array(readingSchema)
    .max(MOST.readingsOfPiece, `At most ${MOST.readingsOfPiece} readings fit into the record of one piece.`)
    .default([]),
  plan: piecePlanSchema.nullable().default(null),
  events: z
    .array(pourEventSchema)
    .max(MOST.eventsOfPiece, `At most ${MOST.eventsOfPiece} events fit into the record of one pour.`),
  /** What happened to it after its pour. */
  care: z
    .array(careEventSchema)
    .max(MOST.careOfPiece, `At most ${MOST.careOfPiece} lines fit into the record after a pour.`)
    .default([]),
  photos: z.array(photoSchema).max(MOST.photosOfPiece, `A piece has at most ${MOST.photosOfPiece} photos.`),
  /** Pictures of its plan as it was rehearsed, with their measures. */
  rehearsals: z
    .array(photoSchema)
    .max(MOST.rehearsalsOfPiece, `At most ${MOST.rehearsalsOfPiece} rehearsals of a piece are kept.`)
    .default([]),
  judgement: judgementSchema.nullable(),
  /** Parts of its record that cannot be read, left out above. */
  damaged: z.array(damagedRecordSchema).max(10_000).optional(),
});

export const pieceCreateSchema = z.object({
  id: idSchema.optional(),
  name: nameSchema,
  technique: techniqueSchema,
  supportId: z.uuid('Choose a support.'),
  aims: aimsSchema.default(NO_AIMS),
  colors: colorsSchema.default(null),
  note: noteSchema.default(''),
  origin: originSchema.nullable().default(null),
});

export const pieceUpdateSchema = z.object({
  version: versionSchema,
  name: nameSchema.optional(),
  note: noteSchema.optional(),
  aims: aimsSchema.optional(),
  colors: colorsSchema.optional(),
  topCoatedAt: timestampSchema.nullable().optional(),
  touchDryAt: timestampSchema.nullable().optional(),
});

const photoNumbersSchema = z.object(
  Object.fromEntries(PHOTO_QUANTITY_KEYS.map((key) => [key, z.number()])) as Record<
    PhotoQuantityKey,
    z.ZodNumber
  >,
);

export const pieceSummarySchema = z.object({
  id: idSchema,
  version: versionSchema,
  name: nameSchema,
  technique: techniqueSchema,
  support: supportSnapshotSchema,
  createdAt: timestampSchema,
  updatedAt: timestampSchema,
  pouredAt: timestampSchema.nullable(),
  topCoatedAt: timestampSchema.nullable().default(null),
  touchDryAt: timestampSchema.nullable().default(null),
  /** Hours after the pour until it is usually touch-dry, by its film and its room; null before anything is laid. */
  drying: z
    .object({
      hours: z.number(),
      low: z.number(),
      high: z.number(),
      /** Where most of it lies. */
      thickMm: z.number(),
      /** How far it creeps until it sets for each mm on a meter that its rack is off level. */
      driftMmPerSlope: z.number(),
    })
    .nullable()
    .default(null),
  /** What the log after its pour comes to. */
  care: z.object({
    place: z.object({ shelfId: idSchema, slotId: z.string().nullable() }).nullable(),
    level: z.object({ acrossMmPerM: z.number(), downMmPerM: z.number() }).nullable(),
    decision: z.enum(DECISIONS).nullable(),
    coats: z.array(z.object({ kind: z.enum(COAT_KINDS), at: timestampSchema })),
    checked: z.array(z.enum(CARE_CHECKS)),
    show: z.object({ name: z.string(), opensOn: z.iso.date().nullable(), hanging: z.string() }).nullable(),
    price: z
      .object({
        hours: z.number(),
        paintCents: z.int(),
        supportCents: z.int(),
        coatCents: z.int(),
        otherCents: z.int(),
        askedCents: z.int().nullable(),
      })
      .nullable(),
    sale: z.object({ to: z.string(), cents: z.int(), at: timestampSchema }).nullable(),
    isGone: z.boolean(),
    isDone: z.boolean(),
  }),
  origin: originSchema.nullable().default(null),
  phase: z.enum(PIECE_PHASES),
  station: z.enum(['mix', 'thickness', 'plan', 'pour', 'results', 'rack']),
  next: z.string(),
  mixes: z.array(
    z.object({
      id: idSchema,
      name: nameSchema,
      role: z.enum(CUP_ROLES),
      colorHex: hexColorSchema,
      phase: z.enum(['planned', 'weighing', 'mixed']),
      viscosityPaS: z.number(),
      spreadLn: z.number(),
      actualMg: sumMgSchema,
      leftMg: sumMgSchema,
      laidMg: sumMgSchema,
      mixedAt: timestampSchema.nullable(),
      restHours: z.number().nullable(),
      lid: z.boolean(),
      version: versionSchema,
    }),
  ),
  passes: z.array(
    z.object({
      tool: z.enum(AIR_TOOL_NAMES),
      distanceMm: z.number(),
      slantDeg: z.number(),
      seconds: z.number(),
    }),
  ),
  photo: shownPhotoSchema.nullable(),
  /** The numbers of the photo that speaks for it. */
  outcome: photoNumbersSchema.nullable(),
  judgement: judgementSchema.nullable(),
  /** Why nothing can be worked out of it; the rest is then as it was written. */
  trouble: z.string().nullable().default(null),
});

export const piecePageSchema = pageOf(pieceSummarySchema);

export type Piece = z.output<typeof pieceSchema>;
export type PieceCreate = z.output<typeof pieceCreateSchema>;
export type DamagedRecord = z.output<typeof damagedRecordSchema>;
export type PieceUpdate = z.output<typeof pieceUpdateSchema>;
export type PieceSummary = z.output<typeof pieceSummarySchema>;
