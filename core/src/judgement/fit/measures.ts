/** What of a sheet's cells is read off a photo and off a film alike. */
export interface CellMeasures {
  /** Share of the face that the sheet still covers; null where the photo did not tell its color apart. */
  readonly sheet: number | null;
  /** Of the cells from the size on that the photo could show: median, mm, and how many on a square centimeter of the face. */
  readonly medianMm: number;
  readonly perCm2: number;
}

/** What is measured on a photo and read off a film alike. */
export interface FitMeasures {
  /** Share of the face that shows the base. */
  readonly negativeSpace: number;
  /** Share of the face that each color shows on, by name. */
  readonly shares: Readonly<Record<string, number>>;
  /** Null without a sheet that opens. */
  readonly cells: CellMeasures | null;
}

/** What is compared, and how: shares of the face by their difference, sizes and counts by their ratio. */
export type OutcomeKind = 'open' | 'color' | 'sheet' | 'size' | 'count';
export const isShare = (kind: OutcomeKind): boolean => kind !== 'size' && kind !== 'count';

/** What one pour is compared by. */
export interface Compared {
  readonly kind: OutcomeKind;
  /** Of it in measures; ln of sizes and counts. */
  readonly read: (measures: FitMeasures) => number;
}

/** Fewer cells than this on a square centimeter, or smaller ones, mm, are as good as none. */
const FEWEST = 0.02;
const SMALLEST = 0.3;

const compare = (kind: OutcomeKind, read: Compared['read']): Compared => ({ kind, read });

/** The base left open first, then its colors by name, then what its sheet has become. */
export function comparedOf({ shares, cells }: FitMeasures): Compared[] {
  const colors = Object.keys(shares).sort();
  const hasSheet = cells !== null && cells.sheet !== null;
  const hasCells = cells !== null && cells.perCm2 > FEWEST;
  return [
    compare('open', (measures) => measures.negativeSpace),
    ...colors.map((name) => compare('color', (measures) => measures.shares[name] ?? 0)),
    ...(hasSheet ? [compare('sheet', (measures) => measures.cells?.sheet ?? 0)] : []),
    ...(hasCells
      ? [
          compare('size', (measures) => Math.log(Math.max(SMALLEST, measures.cells?.medianMm ?? 0))),
          compare('count', (measures) => Math.log(Math.max(FEWEST, measures.cells?.perCm2 ?? 0))),
        ]
      : []),
  ];
}
