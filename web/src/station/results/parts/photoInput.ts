import type { Measurement, Photo, PhotoDetail } from '@icy-ribbon/contract';
import {
  inverseOf,
  paletteOfCups,
  project,
  rectangleTo,
  type Corners,
  type CupColor,
  type MeasureInput,
  type PatchMm,
  type Point,
} from '@icy-ribbon/core/picture';
import type { SupportSize } from '@icy-ribbon/core/piece/support';
import type { Cup } from '../../../store/piece.ts';
import type { PhotoReport } from '../../../worker/photo.worker.ts';

/** What is looked for in a photo: corners, and colors that may be corrected. */
export interface PhotoSetup {
  corners: [number, number][];
  palette: CupColor[];
  base: string;
  activator: string | null;
  /** A gray card beside the support, where the artist lays one. */
  grayPatchMm: PatchMm | null;
}

/** A further color to look for, to be clicked in the photo; the first one is taken for the base. */
export function withColor(setup: PhotoSetup): PhotoSetup {
  const taken = new Set(setup.palette.map(({ name }) => name));
  let number = setup.palette.length + 1;
  while (taken.has(`Color ${number}`)) number += 1;
  const name = `Color ${number}`;
  return {
    ...setup,
    palette: [...setup.palette, { name, hex: '#808080', mixId: null }],
    base: setup.base || name,
  };
}

/** Without a color; what it was the base or the activator of has none then. */
export function withoutColor(setup: PhotoSetup, name: string): PhotoSetup {
  const palette = setup.palette.filter((color) => color.name !== name);
  return {
    ...setup,
    palette,
    base: setup.base === name ? (palette[0]?.name ?? '') : setup.base,
    activator: setup.activator === name ? null : setup.activator,
  };
}

const CARD_MM = 5;

/** A square on the gray card around a point of the photo. */
export function cardAt(
  corners: PhotoSetup['corners'],
  { widthMm, heightMm }: SupportSize,
  [x, y]: Point,
): PatchMm {
  const map = rectangleTo(corners as unknown as Corners, widthMm, heightMm);
  const [right, down] = project(inverseOf(map), x, y);
  return [right - CARD_MM / 2, down - CARD_MM / 2, right + CARD_MM / 2, down + CARD_MM / 2];
}

/** Where the middle of the card is in the photo. */
export function cardMiddle(
  corners: PhotoSetup['corners'],
  { widthMm, heightMm }: SupportSize,
  [left, top, right, bottom]: PatchMm,
): Point {
  return project(
    rectangleTo(corners as unknown as Corners, widthMm, heightMm),
    (left + right) / 2,
    (top + bottom) / 2,
  );
}

/** The setup of a photo: as it was measured before, or from the piece's cups. */
export function setupOf(photo: Photo, cups: readonly Cup[], laidIds: ReadonlySet<string>): PhotoSetup {
  const { measurement } = photo;
  if (measurement) {
    const { corners, palette, base, activator, grayPatchMm } = measurement;
    return {
      corners: corners.map(([x, y]) => [x, y]),
      palette: palette.map((color) => ({ ...color })),
      base,
      activator,
      grayPatchMm: grayPatchMm ?? null,
    };
  }
  const laid = cups.filter((cup) => laidIds.has(cup.mix.id));
  const { palette, base, activator } = paletteOfCups(
    (laid.length > 0 ? laid : cups).map(({ mix, colorHex }) => ({
      id: mix.id,
      name: mix.name,
      role: mix.role,
      colorHex,
    })),
  );
  return { corners: [], palette: [...palette], base, activator, grayPatchMm: null };
}

export function inputOf(setup: PhotoSetup, support: SupportSize): MeasureInput {
  return {
    corners: setup.corners.map(([x, y]) => [x, y]) as unknown as Corners,
    widthMm: support.widthMm,
    heightMm: support.heightMm,
    shape: support.shape,
    palette: setup.palette.map(({ name, hex }) => ({ name, hex })),
    base: setup.base,
    activator: setup.activator ?? undefined,
    // A copy: what a page watches cannot be sent to a worker.
    grayPatchMm: setup.grayPatchMm ? ([...setup.grayPatchMm] as unknown as PatchMm) : undefined,
  };
}

/** What is kept of a measurement. */
export function kept(
  setup: PhotoSetup,
  report: PhotoReport,
  measuredAt: string,
): { measurement: Measurement; detail: PhotoDetail } {
  return {
    measurement: {
      ...report.numbers,
      corners: setup.corners.map(([x, y]) => [x, y]),
      palette: setup.palette.map((color) => ({ ...color })),
      base: setup.base,
      activator: setup.activator,
      ...(setup.grayPatchMm && { grayPatchMm: [...setup.grayPatchMm] }),
      measuredAt,
    },
    detail: report.detail,
  };
}
