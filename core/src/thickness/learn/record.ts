import type { Measure } from '../reading/index.ts';

/** One reading of thickness, as it is kept. */
export interface ReadingRecord {
  readonly id: string;
  /** Null for the lane of a reference liquid. */
  readonly cupId: string | null;
  readonly raceId: string | null;
  readonly at: string;
  /** What the cup held then. */
  readonly contents: readonly { readonly ingredientId: string; readonly mg: number }[];
  readonly measure: Measure;
  readonly struck: boolean;
}
