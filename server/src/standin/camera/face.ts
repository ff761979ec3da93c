import { lookOf, pictureOf } from '@icy-ribbon/core/flow/look';
import { linearRgb } from '@icy-ribbon/core/picture';
import { castOf, frameNow, type Rehearsal } from '@icy-ribbon/core/piece/rehearse';

/** A face seen straight from above in even light. */
export interface Face {
  readonly scene: { readonly widthMm: number; readonly heightMm: number };
  readonly widthPx: number;
  readonly heightPx: number;
  /** Linear red, green and blue of each pixel; below 0 where there is no face. */
  readonly rgb: Float32Array;
}

const NOTHING = -1;

const LINEAR = Float32Array.from({ length: 256 }, (_, byte) => {
  const hex = byte.toString(16).padStart(2, '0');
  return linearRgb(`#${hex}${hex}${hex}`)[0];
});

/** Cells of the film that a round rim may cut off, at most: what lies there looks like what is just inside. */
const CUT_OFF = 0.75;

/**
 * The face of a film as it lies.
 *
 * @param pxPerMm of the picture
 * @param darker times its light: paint dries darker
 */
export function faceOf(rehearsal: Rehearsal, pxPerMm: number, darker: number): Face {
  const { scene, film } = rehearsal;
  const { widthMm, heightMm, shape } = scene.support;
  const { grid } = film.kernel.fields;
  const look = lookOf(frameNow(rehearsal), castOf(scene, rehearsal.unknowns), grid.rim.inside);
  const picture = pictureOf(look, Math.round(widthMm * pxPerMm), { isGlossy: false });
  const { width: widthPx, height: heightPx } = picture;
  const rgb = new Float32Array(3 * widthPx * heightPx);
  const whole = 1 - (2 * CUT_OFF) / Math.min(grid.columns, grid.rows);
  const nearest = (at: number, count: number) =>
    Math.min(count - 1, Math.max(0, Math.floor(((at + 1) / 2) * count)));
  for (let pixel = 0; pixel < widthPx * heightPx; pixel += 1) {
    const across = (2 * (pixel % widthPx) + 1) / widthPx - 1;
    const down = (2 * Math.floor(pixel / widthPx) + 1) / heightPx - 1;
    const out = shape === 'round' ? Math.hypot(across, down) : 0;
    const pull = out > whole ? whole / out : 1;
    const from = nearest(pull * down, heightPx) * widthPx + nearest(pull * across, widthPx);
    for (let channel = 0; channel < 3; channel += 1) {
      rgb[3 * pixel + channel] = out > 1 ? NOTHING : darker * LINEAR[picture.rgb[3 * from + channel]!]!;
    }
  }
  return { scene: { widthMm, heightMm }, widthPx, heightPx, rgb };
}
