import {
  measurePhoto,
  type Cell,
  type Corners,
  type Measured,
  type PaletteColor,
  type PatchMm,
  type PhotoPixels,
} from '@icy-ribbon/core/picture';
import { seededRandom } from '@icy-ribbon/core/base/random';
import sharp from 'sharp';
import { paintScene } from '../../server/src/testing/painter/paint.ts';
import type { Scene } from '../../server/src/testing/painter/scene.ts';
import { casualShot, shoot, type Shot } from '../../server/src/standin/camera/shoot.ts';
import { truthOf, type TrueCell } from '../../server/src/testing/painter/truth.ts';
import { decodePhoto } from '../../server/src/photo/decode.ts';

/** A photo with what is truly on it. */
export interface KnownPhoto {
  readonly widthMm: number;
  readonly heightMm: number;
  readonly corners: Corners;
  readonly grayPatchMm: PatchMm;
  readonly palette: readonly PaletteColor[];
  readonly base: string;
  readonly activator: string;
  readonly truth: {
    readonly minCellMm: number;
    readonly cells: { readonly count: number; readonly medianMm: number; readonly p90Mm: number };
    readonly shares: Readonly<Record<string, number>>;
    readonly mud: number;
    readonly negativeSpace: number;
    readonly lacing: { readonly areaShare: number; readonly widthMm: number };
    /** Every cell by itself, where the painter is ours. */
    readonly list?: readonly TrueCell[];
  };
}

/** How far a measurement lies from the truth, in percent or percentage points. */
export interface Misses {
  readonly countPercent: number;
  readonly medianPercent: number;
  readonly p90Percent: number;
  readonly worstSharePoints: number;
  readonly mudPoints: number;
  readonly negativePoints: number;
  readonly lacingAreaPercent: number;
  readonly lacingWidthPercent: number;
  /** Of the cells that touch another of their color, how many were found as one each; where the cells are known. */
  readonly touchingFoundPercent?: number;
}

export function measureKnown(photo: PhotoPixels, known: KnownPhoto): Measured {
  const { widthMm, heightMm, corners, grayPatchMm, palette, base, activator, truth } = known;
  const minCellMm = truth.minCellMm;
  return measurePhoto(photo, {
    widthMm,
    heightMm,
    corners,
    grayPatchMm,
    palette,
    base,
    activator,
    minCellMm,
  });
}

export function missesOf(measured: Measured, { truth }: KnownPhoto): Misses {
  const percent = (value: number, wanted: number) => 100 * (value / wanted - 1);
  return {
    countPercent: percent(measured.cells.count, truth.cells.count),
    medianPercent: percent(measured.cells.medianMm, truth.cells.medianMm),
    p90Percent: percent(measured.cells.p90Mm, truth.cells.p90Mm),
    worstSharePoints:
      100 *
      Math.max(
        ...Object.keys(truth.shares).map((name) =>
          Math.abs((measured.shares[name] ?? 0) - truth.shares[name]!),
        ),
      ),
    mudPoints: 100 * Math.abs(measured.mud - truth.mud),
    negativePoints: 100 * Math.abs(measured.negativeSpace - truth.negativeSpace),
    lacingAreaPercent: percent(measured.lacing.areaShare, truth.lacing.areaShare),
    lacingWidthPercent: percent(measured.lacing.widthMm, truth.lacing.widthMm),
    ...(truth.list && { touchingFoundPercent: 100 * touchingFound(measured.cells.list, truth.list) }),
  };
}

const NEAR_MIDDLE = 0.35;

/** Share of the touching cells that have a found cell of their own close to their middle. */
function touchingFound(found: readonly Cell[], list: readonly TrueCell[]): number {
  const free = new Set(found);
  const off = (one: Cell, other: Cell) => Math.hypot(one.xMm - other.xMm, one.yMm - other.yMm);
  const touching = list.filter((cell) => cell.touches);
  const hits = touching.filter((cell) => {
    const nearest = [...free].reduce<Cell | undefined>(
      (best, each) => (best && off(best, cell) <= off(each, cell) ? best : each),
      undefined,
    );
    if (!nearest || off(nearest, cell) > NEAR_MIDDLE * cell.diameterMm) return false;
    free.delete(nearest);
    return true;
  });
  return touching.length > 0 ? hits.length / touching.length : 1;
}

/** Invented palettes: on dark, on white, with colors close to each other, and with muted ones. */
const PALETTES = [
  { base: '#17161a', activator: '#ece9e2', colors: ['#1f5fa8', '#25a6a0', '#c6357a', '#e3a42b', '#5b2a86'] },
  { base: '#efece6', activator: '#1b1a1d', colors: ['#d8452f', '#f0b429', '#2c7fb8', '#1d6b4f'] },
  { base: '#26333f', activator: '#f4f1ea', colors: ['#9c4a2c', '#6f93a8', '#b08d3e', '#cfe3e2'] },
  { base: '#f1efe9', activator: '#d7d4cf', colors: ['#2a62a0', '#3d78b4', '#4fa3a5', '#27407a'] },
] as const;

const MIN_CELL_MM = 0.8;
const FACE_MM = { widthMm: 240, heightMm: 180 };

/** A bloom nobody has seen, painted and photographed from a seed. */
export async function freshPhoto(
  seed: number,
  megapixels: number,
  changes: Partial<Shot> = {},
): Promise<{ known: KnownPhoto; jpeg: Buffer; photo: PhotoPixels }> {
  const random = seededRandom(seed);
  const colors = PALETTES[seed % PALETTES.length]!;
  const scene: Scene = {
    ...FACE_MM,
    seed,
    style: 'bloom',
    shape: 'rectangle',
    baseHex: colors.base,
    activatorHex: colors.activator,
    colorHexes: colors.colors,
    petals: 4 + (seed % 4),
    reach: 0.78 + 0.12 * random(),
    cellMedianMm: 2.4 + 0.8 * random(),
    cellsPerCm2: 1.4 + random(),
    lacingWidthMm: 0.6 + 0.2 * random(),
    netShare: 0.4 + 0.3 * random(),
    mud: 0.004 + 0.012 * random(),
  };
  const painting = paintScene(scene, megapixels > 8 ? 16 : megapixels > 3 ? 12 : 9);
  const { shares: all, cells, list, lacing } = truthOf(painting, MIN_CELL_MM);
  const { mud, ...shares } = all;
  const shot = shoot(painting, { ...casualShot(seed, megapixels), ...changes });
  const jpeg = await sharp(shot.pixels, {
    raw: { width: shot.widthPx, height: shot.heightPx, channels: 3 },
  })
    .jpeg({ quality: 85 })
    .toBuffer();
  return {
    jpeg,
    photo: await decodePhoto(jpeg),
    known: {
      ...FACE_MM,
      corners: shot.corners,
      grayPatchMm: shot.grayPatchMm,
      palette: [
        { name: 'base', hex: colors.base },
        { name: 'activator', hex: colors.activator },
        ...colors.colors.map((hex, index) => ({ name: `color ${index + 1}`, hex })),
      ],
      base: 'base',
      activator: 'activator',
      truth: {
        minCellMm: MIN_CELL_MM,
        cells,
        shares,
        mud: mud ?? 0,
        negativeSpace: shares.base ?? 0,
        lacing,
        list,
      },
    },
  };
}
