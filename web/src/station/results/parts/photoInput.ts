import type { Measurement, Photo, PhotoDetail } from '@icy-ribbon/contract';
import {
  inverseOf,
  moveCorners,
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
import type { Cup } from '#store/piece/piece.ts';
import type { PhotoReport } from '#worker/photo.worker.ts';

/** What is looked for in a photo: corners, and colors that may be corrected. */
export interface PhotoSetup {
  /** None until they are found or pulled onto the support. */
  corners: Measurement['corners'] | null;
  palette: CupColor[];
  base: string;
  activator: string | null;
  /** A gray card beside the support, where the artist lays one. */
  grayPatchMm: PatchMm | null;
}

/** A setup that can be measured: its corners are in place, and there is more than one color. */
export type ReadySetup = PhotoSetup & { corners: Measurement['corners'] };

export const isReady = (setup: PhotoSetup): setup is ReadySetup =>
  setup.corners !== null && setup.palette.length >= 2;

/** A further color to look for, to be clicked in the photo; the first one is taken for the base. */
export function withColor(setup: PhotoSetup): PhotoSetup {
  const taken = new Set(setup.palette.map(({ name }) => name));
  let number = setup.palette.length + 1;
  while (taken.has(`Color ${number}`)) number += 1;
  const name = `Color ${number}`;
  return {
    ...setup,
    palette: [...setup.palette, { name, hex: '#808080', cupId: null }],
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

/** One color corrected. */
export const withHex = (setup: PhotoSetup, at: number, hex: string): PhotoSetup => ({
  ...setup,
  palette: setup.palette.map((color, index) => (index === at ? { ...color, hex } : color)),
});

const CARD_MM = 5;

/** A square on the gray card around a point of the photo. */
export function cardAt(corners: Corners, { widthMm, heightMm }: SupportSize, [x, y]: Point): PatchMm {
  const map = rectangleTo(corners, widthMm, heightMm);
  const [right, down] = project(inverseOf(map), x, y);
  return [right - CARD_MM / 2, down - CARD_MM / 2, right + CARD_MM / 2, down + CARD_MM / 2];
}

/** Where the middle of the card is in the photo. */
export function cardMiddle(
  corners: Corners,
  { widthMm, heightMm }: SupportSize,
  [left, top, right, bottom]: PatchMm,
): Point {
  return project(rectangleTo(corners, widthMm, heightMm), (left + right) / 2, (top + bottom) / 2);
}

/** The setup of a photo: as it was measured before, or from the piece's cups. */
export function setupOf(photo: Photo, cups: readonly Cup[], laidIds: ReadonlySet<string>): PhotoSetup {
  const { measurement } = photo;
  if (measurement) {
    const { corners, palette, base, activator, grayPatchMm } = measurement;
    return {
      corners: moveCorners(corners),
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
  return { corners: null, palette: [...palette], base, activator, grayPatchMm: null };
}

export function inputOf(setup: ReadySetup, support: SupportSize): MeasureInput {
  return {
    corners: moveCorners(setup.corners),
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
export function measuredWith(
  setup: ReadySetup,
  report: PhotoReport,
  measuredAt: string,
): { measurement: Measurement; detail: PhotoDetail } {
  return {
    measurement: {
      ...report.numbers,
      corners: moveCorners(setup.corners),
      palette: setup.palette.map((color) => ({ ...color })),
      base: setup.base,
      activator: setup.activator,
      ...(setup.grayPatchMm && { grayPatchMm: [...setup.grayPatchMm] }),
      measuredAt,
    },
    detail: report.detail,
  };
}
