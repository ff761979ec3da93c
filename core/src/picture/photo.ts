/** A decoded photo, upright, 8 bits a channel in sRGB, row by row from the top left. */
export interface PhotoPixels {
  readonly widthPx: number;
  readonly heightPx: number;
  /** 3 for RGB, 4 for RGBA. */
  readonly channels: 3 | 4;
  readonly data: Uint8Array | Uint8ClampedArray;
}

/** A place in pixels or millimeters, x to the right and y down. */
export type Point = readonly [x: number, y: number];

/** The support's corners in the photo, in pixels: top left, top right, bottom right, bottom left. */
export type Corners = readonly [Point, Point, Point, Point];

type OwnPoint = [x: number, y: number];

/** Four corners, each moved; they belong to the caller, who may move them on. */
export function moveCorners(
  [topLeft, topRight, bottomRight, bottomLeft]: Corners,
  move: (corner: Point, index: number) => Point = (corner) => corner,
): [OwnPoint, OwnPoint, OwnPoint, OwnPoint] {
  const moved = (corner: Point, index: number): OwnPoint => [...move(corner, index)];
  return [moved(topLeft, 0), moved(topRight, 1), moved(bottomRight, 2), moved(bottomLeft, 3)];
}

/** One color to look for. */
export interface PaletteColor {
  readonly name: string;
  /** As #rrggbb. */
  readonly hex: string;
}

/** A rectangle on the plane of the support, in millimeters from its top left corner. */
export type PatchMm = readonly [left: number, top: number, right: number, bottom: number];

export interface MeasureInput {
  readonly corners: Corners;
  readonly widthMm: number;
  readonly heightMm: number;
  /** A round support shows only the ellipse in its frame. */
  readonly shape?: 'rectangle' | 'round';
  readonly palette: readonly PaletteColor[];
  /** Name of the base in the palette. */
  readonly base: string;
  /** Name of the activator in the palette, when there was one. */
  readonly activator?: string | undefined;
  /** A neutral gray card in the picture. */
  readonly grayPatchMm?: PatchMm | undefined;
  /** Smallest cell that counts; 0.5 when left out. */
  readonly minCellMm?: number | undefined;
}
