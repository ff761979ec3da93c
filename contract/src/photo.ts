import { WARNING_CODES } from '@icy-ribbon/core/picture';
import { z } from 'zod';
import { hexColorSchema, idSchema, tableOf, timestampSchema, versionSchema } from './common.ts';
import { PHOTO_STATES, PICTURE_STATES } from './plain/words.ts';

const share = z.number().min(0).max(1);
const pixel = z.number().min(-1e6).max(1e6);
const pointSchema = z.tuple([pixel, pixel]);
const lengthMm = z.number().min(0).max(100_000);
const count = z.int().min(0).max(10_000_000);
const sizePx = z.int().min(1).max(100_000);
const MOST_COLORS = 24;

/** A color that was looked for; `cupId` is the cup it came from. */
const measuredColorSchema = z.object({
  name: z.string().min(1).max(120),
  hex: hexColorSchema,
  cupId: idSchema.nullable(),
});

/** Corners of a support in pixels of a photo: top left, top right, bottom right, bottom left. */
const cornersSchema = z.tuple([pointSchema, pointSchema, pointSchema, pointSchema], 'Give four corners.');

/** What it takes to show a photo in a list, or the support on it alone; without corners it is not measured yet. */
export const shownPhotoSchema = z.object({
  id: idSchema,
  widthPx: sizePx,
  heightPx: sizePx,
  corners: cornersSchema.nullable(),
});

/** What was measured on a photo. Lengths in millimeters, shares of the face. */
const measurementSchema = z.object({
  corners: cornersSchema,
  palette: z.array(measuredColorSchema).min(2, 'Give at least two colors to look for.').max(MOST_COLORS),
  base: z.string().max(120),
  activator: z.string().max(120).nullable(),
  /** A gray card beside the support: left, top, right and bottom in millimeters from the support's top left. */
  grayPatchMm: z.tuple([pixel, pixel, pixel, pixel]).nullish(),
  shares: tableOf(share, MOST_COLORS + 8),
  negativeSpace: share,
  mud: share,
  cells: z.object({
    count,
    medianMm: lengthMm,
    p10Mm: lengthMm,
    p90Mm: lengthMm,
    perCm2: lengthMm,
    /** The smallest that the photo could show, and the same of the cells from some sizes on. */
    leastMm: lengthMm.optional(),
    from: z
      .array(z.object({ mm: lengthMm, count, medianMm: lengthMm, perCm2: lengthMm }))
      .max(20)
      .optional(),
  }),
  lacing: z.object({ areaShare: share, widthMm: lengthMm }),
  petals: z.object({
    /** Null if the photo has no clear number of them. */
    count: count.nullable(),
    reachMm: lengthMm,
    symmetry: share,
    edges: z.object({ top: share, right: share, bottom: share, left: share }),
  }),
  warnings: z.array(z.object({ code: z.enum(WARNING_CODES), message: z.string().max(1000) })).max(50),
  measuredAt: timestampSchema,
});

/**
 * A long list of numbers, checked in one loop: number by number through schemas, a detail holds the page up for
 * several frames.
 */
function longList(most: number, fits: (value: number) => boolean, items: object) {
  return z
    .custom<number[]>(
      (given) =>
        Array.isArray(given) && given.length <= most && given.every((value) => fits(value as number)),
      `Give at most ${most} numbers.`,
    )
    .meta({ type: 'array', maxItems: most, items });
}

/** A mask as runs: how many pixels off, then on, then off and so on, row after row. */
const MOST_RUN = 1_000_000_000;
const runsSchema = longList(400_000, (value) => Number.isInteger(value) && value >= 0 && value <= MOST_RUN, {
  type: 'integer',
  minimum: 0,
  maximum: MOST_RUN,
});

const CELL_NUMBER = { type: 'number', minimum: -1e6, maximum: 1e6 };

/** What the overlay draws. */
export const photoDetailSchema = z.object({
  /** One row a cell: x, y, diameter, color, color around (numbers of the palette), then its outline's radii. */
  cells: z
    .array(longList(64, (value) => Number.isFinite(value) && Math.abs(value) <= 1e6, CELL_NUMBER))
    .max(20_000),
  masks: z.object({
    widthPx: sizePx,
    heightPx: sizePx,
    net: runsSchema,
    mud: runsSchema,
    glare: runsSchema,
  }),
});

export const photoSchema = z.object({
  id: idSchema,
  pieceId: idSchema,
  version: versionSchema,
  state: z.enum(PICTURE_STATES),
  /** SHA-256 of the stored file, which is its name on disk. */
  hash: z.string().regex(/^[0-9a-f]{64}$/),
  widthPx: sizePx,
  heightPx: sizePx,
  measurement: measurementSchema.nullable().default(null),
  /** What the camera's own file is, where it was kept as well. */
  original: z.enum(['jpeg', 'png', 'heif']).nullable().default(null),
  /** Made up by a stand-in for the camera. */
  standIn: z.boolean().default(false),
  createdAt: timestampSchema,
  deletedAt: timestampSchema.nullable(),
});

/** The text fields beside the file of a multipart upload. */
export const photoUploadFields = z.object({
  id: idSchema.optional(),
  state: z.enum(PICTURE_STATES, 'Say whether the photo is wet or dry.'),
});

/** What goes with a photo that is sent in pieces; text, as the protocol has it. */
export const photoSendSchema = z.object({
  id: idSchema,
  pieceId: idSchema,
  state: z.enum(PICTURE_STATES, 'Say whether the photo is wet or dry.'),
  keepOriginal: z.enum(['yes', 'no']).default('no'),
});

export const measurementPutSchema = z.object({
  version: versionSchema,
  measurement: measurementSchema,
  detail: photoDetailSchema,
});

/** Lets the camera stand-in take a photo of the piece. */
export const shutterSchema = z.object({
  id: idSchema.optional(),
  state: z.enum(PHOTO_STATES, 'Say whether the photo is wet or dry.'),
  megapixels: z.number().min(0.3).max(12).default(3),
});

export type Photo = z.output<typeof photoSchema>;
/** Every picture of a piece: photos of it, then rehearsals. */
export const picturesOf = (piece: {
  readonly photos: readonly Photo[];
  readonly rehearsals: readonly Photo[];
}): Photo[] => [...piece.photos, ...piece.rehearsals];

export type Measurement = z.output<typeof measurementSchema>;
export type PhotoDetail = z.output<typeof photoDetailSchema>;
