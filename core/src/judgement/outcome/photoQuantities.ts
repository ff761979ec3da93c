import type { Measure } from './measure.ts';

/** The part of a measured photo that the numbers below come from. */
export interface MeasuredPhoto {
  readonly negativeSpace: number;
  readonly mud: number;
  readonly cells: { readonly count: number; readonly medianMm: number; readonly perCm2: number };
  readonly lacing: { readonly areaShare: number; readonly widthMm: number };
  readonly petals: { readonly count: number | null; readonly reachMm: number; readonly symmetry: number };
}

/** How a photo's number is compared across pours. */
export interface ComparedAs {
  readonly label: string;
  readonly measure: Measure;
  readonly less: string;
  readonly more: string;
  /** The subject of "came out … larger". */
  readonly subject: string;
  /** Compared by its ratio. */
  readonly isRatio?: true;
  /** 0 means that there is none, so there is nothing to compare. */
  readonly zeroIsNone?: true;
}

/** Everything about one number of a photo. */
interface PhotoQuantity {
  readonly of: (photo: MeasuredPhoto) => number;
  /** The version of the facts that added it; older facts are computed again. */
  readonly since: number;
  /** Its column in the table of pieces. */
  readonly column?: string;
  readonly compared?: ComparedAs;
}

const MUCH = { less: 'less', more: 'more' } as const;

/** In the order that a comparison lists them. */
export const PHOTO_QUANTITIES = {
  cellCount: { of: ({ cells }) => cells.count, since: 1, column: 'measured_cells' },
  cellMm: {
    of: ({ cells }) => cells.medianMm,
    since: 1,
    column: 'measured_cell_mm',
    compared: {
      ...{ label: 'Cell size', measure: 'length', less: 'smaller', more: 'larger' },
      ...{ subject: 'cells', isRatio: true, zeroIsNone: true },
    },
  },
  cellsPerCm2: {
    of: ({ cells }) => cells.perCm2,
    since: 1,
    compared: {
      ...{ label: 'Cells, how close', measure: 'number on area', less: 'fewer', more: 'more' },
      subject: 'cells',
    },
  },
  lacingShare: {
    of: ({ lacing }) => lacing.areaShare,
    since: 1,
    column: 'measured_lacing_share',
    compared: { label: 'Lacing, share of the face', measure: 'share', ...MUCH, subject: 'the lacing' },
  },
  lacingWidthMm: {
    of: ({ lacing }) => lacing.widthMm,
    since: 1,
    compared: {
      ...{ label: 'Width of the lacing', measure: 'length', less: 'finer', more: 'broader' },
      ...{ subject: 'the lacing', zeroIsNone: true },
    },
  },
  mud: {
    of: ({ mud }) => mud,
    since: 1,
    column: 'measured_mud_share',
    compared: { label: 'Mud, share of the face', measure: 'share', ...MUCH, subject: 'mud' },
  },
  negativeSpace: {
    of: ({ negativeSpace }) => negativeSpace,
    since: 1,
    column: 'measured_negative_space',
    compared: { label: 'Negative space', measure: 'share', ...MUCH, subject: 'the negative space' },
  },
  petalCount: {
    of: ({ petals }) => petals.count ?? 0,
    since: 1,
    compared: {
      ...{ label: 'Petals', measure: 'count', less: 'fewer', more: 'more', subject: 'petals' },
      zeroIsNone: true,
    },
  },
  petalReachMm: { of: ({ petals }) => petals.reachMm, since: 1 },
  symmetry: {
    of: ({ petals }) => petals.symmetry,
    since: 1,
    compared: {
      ...{ label: 'Evenness of the petals', measure: 'ratio', ...MUCH },
      ...{ subject: 'the evenness of the petals', zeroIsNone: true },
    },
  },
} as const satisfies Readonly<Record<string, PhotoQuantity>>;

export type PhotoQuantityKey = keyof typeof PHOTO_QUANTITIES;
export const PHOTO_QUANTITY_KEYS = Object.keys(PHOTO_QUANTITIES) as readonly PhotoQuantityKey[];

/** Every number of a photo, by its key. */
export type PhotoNumbers = Readonly<Record<PhotoQuantityKey, number>>;

/**
 * The row of a number; fields that only some rows have are optional.
 *
 * @example photoQuantity('mud').column // 'measured_mud_share'
 */
export const photoQuantity = (key: PhotoQuantityKey): PhotoQuantity => PHOTO_QUANTITIES[key];

/** Every number that a photo gives. */
export const photoNumbers = (photo: MeasuredPhoto): PhotoNumbers =>
  Object.fromEntries(PHOTO_QUANTITY_KEYS.map((key) => [key, PHOTO_QUANTITIES[key].of(photo)])) as Record<
    PhotoQuantityKey,
    number
  >;
