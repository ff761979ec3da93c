import type { Measurement, Piece, PhotoDetail } from '@icy-ribbon/contract';
import { cupColor } from '@icy-ribbon/core/paint/color';
import {
  detailOf,
  measurePhoto,
  numbersOf,
  paletteOfCups,
  moveCorners,
  type Corners,
  type PatchMm,
  type PhotoPixels,
} from '@icy-ribbon/core/picture';

/** Measures a photo by the colors of a piece's cups, as the page does. */
export function measureCups(
  photo: PhotoPixels,
  piece: Pick<Piece, 'mixes' | 'support'>,
  { corners, grayPatchMm }: { readonly corners: Corners; readonly grayPatchMm: PatchMm },
  measuredAt: string,
): { measurement: Measurement; detail: PhotoDetail } {
  const { palette, base, activator } = paletteOfCups(
    piece.mixes.map(({ id, name, role, ingredients }) => ({
      id,
      name,
      role,
      colorHex: cupColor(ingredients),
    })),
  );
  const { widthMm, heightMm, shape } = piece.support;
  const measured = measurePhoto(photo, {
    corners,
    widthMm,
    heightMm,
    shape,
    palette,
    base,
    activator: activator ?? undefined,
    grayPatchMm,
  });
  return {
    measurement: {
      ...numbersOf(measured),
      corners: moveCorners(corners),
      palette: palette.map((color) => ({ ...color })),
      base,
      activator,
      grayPatchMm: [...grayPatchMm],
      measuredAt,
    },
    detail: detailOf(measured),
  };
}
