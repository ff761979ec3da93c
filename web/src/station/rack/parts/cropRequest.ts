import type { Photo, PhotoDetail, Piece } from '@icy-ribbon/contract';
import { maskOfRuns, moveCorners, quadArea, type Corners } from '@icy-ribbon/core/picture';
import type { Part } from '@icy-ribbon/core/picture/crop';
import type { SupportSize } from '@icy-ribbon/core/piece/support';
import { cellsOf } from '#drawing/photoOverlay.ts';
import type { CropRequest } from '#worker/photo.worker.ts';

/** The photo that speaks, once it is measured. */
export type MeasuredPhoto = Photo & { readonly measurement: NonNullable<Photo['measurement']> };

/** What crops of a measured photo are judged by. */
export function cropRequest(
  { measurement }: MeasuredPhoto,
  detail: PhotoDetail,
  { support, judgement }: Pick<Piece, 'support' | 'judgement'>,
): CropRequest {
  const { widthPx, heightPx, net, mud } = detail.masks;
  return {
    input: {
      corners: moveCorners(measurement.corners),
      widthMm: support.widthMm,
      heightMm: support.heightMm,
      palette: measurement.palette.map(({ name, hex }) => ({ name, hex })),
      base: measurement.base,
    },
    cells: cellsOf(detail).map(({ xMm, yMm, diameterMm }) => ({ xMm, yMm, diameterMm })),
    masks: {
      widthPx,
      heightPx,
      net: maskOfRuns(net, widthPx * heightPx),
      mud: maskOfRuns(mud, widthPx * heightPx),
    },
    faults: (judgement?.faults ?? []).flatMap(({ at }) => (at ? [{ x: at.x, y: at.y }] : [])),
    shape: support.shape,
  };
}

const PRINT_DPI = 300;
const MM_PER_INCH = 25.4;

/** How large a part comes out: its pixels as the photo has them, and how large that prints at 300 dpi. */
export function cropSize(
  corners: Corners,
  { widthMm, heightMm }: Pick<SupportSize, 'widthMm' | 'heightMm'>,
  part: Part,
): { widthPx: number; heightPx: number; dpi: number; printMm: { width: number; height: number } } {
  const pxPerMm = Math.sqrt(quadArea(corners) / (widthMm * heightMm));
  const widthPx = Math.max(1, Math.round(part.width * widthMm * pxPerMm));
  const heightPx = Math.max(1, Math.round(part.height * heightMm * pxPerMm));
  const atDpi = (px: number) => (px / PRINT_DPI) * MM_PER_INCH;
  return { widthPx, heightPx, dpi: PRINT_DPI, printMm: { width: atDpi(widthPx), height: atDpi(heightPx) } };
}

/** Ratios of prints and small supports, width to height. */
export const CROP_RATIOS = [
  { key: '1:1', label: '1 : 1', ratio: 1 },
  { key: '4:5', label: '4 : 5', ratio: 4 / 5 },
  { key: '2:3', label: '2 : 3', ratio: 2 / 3 },
  { key: 'a', label: 'A paper', ratio: 1 / Math.SQRT2 },
] as const;

/** Moved so that it lies on the face, its size kept where that fits. */
export function onFace({ x, y, width, height }: Part): Part {
  const scale = Math.min(1, 1 / width, 1 / height);
  const [w, h] = [width * scale, height * scale];
  return { width: w, height: h, x: Math.min(1 - w, Math.max(0, x)), y: Math.min(1 - h, Math.max(0, y)) };
}
