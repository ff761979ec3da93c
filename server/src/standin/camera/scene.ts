/** What the painter is told to paint. Lengths in millimeters, colors as #rrggbb. */
export interface Scene {
  readonly seed: number;
  readonly shape: 'rectangle' | 'round';
  readonly widthMm: number;
  readonly heightMm: number;
  readonly baseHex: string;
  readonly activatorHex: string;
  readonly colorHexes: readonly string[];
  readonly petals: number;
  /** How far the longest petal reaches, as a share of half the shorter side. */
  readonly reach: number;
  readonly cellMedianMm: number;
  /** Cells per square centimeter of the colored area. */
  readonly cellsPerCm2: number;
  readonly lacingWidthMm: number;
  /** Share of the colored area that went to mud. */
  readonly mud: number;
}

/** What is truly in the picture, counted while it was painted. */
export interface SceneTruth {
  /** Shares of the face, 0 to 1, by label: "base", "activator", "mud", "color 1" and so on. */
  readonly shares: Readonly<Record<string, number>>;
  /** Density is per square centimeter of the colored area. */
  readonly cells: {
    readonly count: number;
    readonly medianMm: number;
    readonly perCm2: number;
  };
}
