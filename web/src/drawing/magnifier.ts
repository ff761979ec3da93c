import { ON_PHOTO } from '../theme/tokens.ts';

/** Side of the magnifier in pixels, and how many times as large it shows the photo. */
export const LENS_PX = 132;
export const LENS_ZOOM = 5;

type Pen = Pick<
  CanvasRenderingContext2D,
  | 'imageSmoothingEnabled'
  | 'fillStyle'
  | 'strokeStyle'
  | 'fillRect'
  | 'drawImage'
  | 'beginPath'
  | 'moveTo'
  | 'lineTo'
  | 'stroke'
>;

/** Draws what lies around a place of the photo, larger and with cross hairs; beyond the photo it is dark. */
export function drawLens(pen: Pen, photo: CanvasImageSource, [x, y]: readonly [number, number]): void {
  const middle = LENS_PX / 2;
  const reach = middle / LENS_ZOOM;
  pen.imageSmoothingEnabled = false;
  pen.fillStyle = ON_PHOTO.edge;
  pen.fillRect(0, 0, LENS_PX, LENS_PX);
  pen.drawImage(photo, x - reach, y - reach, 2 * reach, 2 * reach, 0, 0, LENS_PX, LENS_PX);
  pen.strokeStyle = ON_PHOTO.held;
  pen.beginPath();
  pen.moveTo(middle, 0);
  pen.lineTo(middle, LENS_PX);
  pen.moveTo(0, middle);
  pen.lineTo(LENS_PX, middle);
  pen.stroke();
}
