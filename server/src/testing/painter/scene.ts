/** What the painter is told to paint. Lengths in millimeters, colors as #rrggbb. */
export interface Scene {
  readonly seed: number;
  /** A bloom has nets and sheets of activator inside its petals, a Dutch pour bands of color with rimmed cells. */
  readonly style: 'bloom' | 'dutch';
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
  /** Cells per square centimeter of the colored area, where they are scattered. */
  readonly cellsPerCm2: number;
  readonly lacingWidthMm: number;
  /** Share of a bloom's inner flower whose cells stand as a net; the rest lies under a sheet. */
  readonly netShare: number;
  /** Share of the colored area that went to mud. */
  readonly mud: number;
}

/** The colors of a scene by label, the order of the numbers in a painting. */
export function labelNames(scene: Scene): string[] {
  return ['base', 'activator', ...scene.colorHexes.map((_, index) => `color ${index + 1}`), 'mud'];
}

/** What is truly in the picture, read off the painting itself. */
export interface SceneTruth {
  /** Shares of the face, 0 to 1, by label: "base", "activator", "mud", "color 1" and so on. */
  readonly shares: Readonly<Record<string, number>>;
  /** Density is per square centimeter of the face. */
  readonly cells: {
    readonly count: number;
    readonly medianMm: number;
    readonly p10Mm: number;
    readonly p90Mm: number;
    readonly perCm2: number;
    /** Cells that touch another one of their color. */
    readonly touching: number;
  };
  readonly lacing: { readonly areaShare: number; readonly widthMm: number };
}
