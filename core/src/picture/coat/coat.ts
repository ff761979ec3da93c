import { InputError } from '../../base/error/index.ts';
import { leastSquares } from '../../base/statistics/index.ts';
import { median } from '../quantile.ts';
import type { Face } from '../rectify.ts';

/** A coat as it would look without anything on it: linear red, green, blue of each pixel of a row. */
export type Coat = (y: number) => Float32Array;

/** The face is looked at in so many places across its longer side. */
const LOOKS = 44;
const LEAST_PLACES = 40;
const ROUNDS = 6;
/** What differs by so many usual differences is no coat. */
const FAR = 2.5;
/** At the least, in ln of light: finer differences are noise of the fit. */
const LEAST = 0.02;

/**
 * Finds the light of the coat over a face, which falls off from side to side: a curved surface through most of what is seen.
 *
 * Law: least squares of ln light on 1, x, y, x2, xy, y2, without what lies far from it, again and again (standard statistics).
 *
 * @throws InputError (field "photo") when nearly all of it is full
 */
export function coatOf(face: Face): Coat {
  const step = Math.max(1, Math.round(Math.max(face.width, face.height) / LOOKS));
  const places: { readonly at: number; readonly row: number[] }[] = [];
  for (let y = step >> 1; y < face.height; y += step) {
    for (let x = step >> 1; x < face.width; x += step) {
      const at = y * face.width + x;
      if (face.onFace[at] && !face.clipped[at])
        places.push({ at, row: basis(x / face.width, y / face.height) });
    }
  }
  if (places.length < LEAST_PLACES) {
    throw new InputError('photo', 'The picture is too bright to tell anything from it: take it darker.');
  }
  const light = (at: number, channel: number) => Math.log(Math.max(1e-4, face.rgb[3 * at + channel]!));
  const surfaces = ([0, 1, 2] as const).map((channel) => {
    const values = places.map(({ at }) => light(at, channel));
    // Most of the face is the coat: the middle of what is seen is its color.
    const middle = median(values);
    let fit: readonly number[] = [middle, 0, 0, 0, 0, 0];
    for (let round = 0; round < ROUNDS; round += 1) {
      const off = places.map(({ row }, index) => values[index]! - told(fit, row));
      const usual = Math.max(LEAST, 1.48 * median(off.map(Math.abs)));
      const kept = places.flatMap(({ row }, index) =>
        Math.abs(off[index]!) < FAR * usual ? [{ row, value: values[index]! }] : [],
      );
      if (kept.length < 20) break;
      fit = leastSquares(
        kept.map(({ row }) => row),
        kept.map(({ value }) => value),
      ).coefficients;
    }
    return fit;
  });
  return (y) => {
    const row = new Float32Array(3 * face.width);
    surfaces.forEach((fit, channel) => {
      // Along a row the curved surface is a parabola.
      const start = told(fit, basis(0, y / face.height));
      const along = fit[1]! + (fit[4]! * y) / face.height;
      const curve = fit[3]!;
      for (let x = 0; x < face.width; x += 1) {
        const u = x / face.width;
        row[3 * x + channel] = Math.exp(start + along * u + curve * u * u);
      }
    });
    return row;
  };
}

const basis = (x: number, y: number): number[] => [1, x, y, x * x, x * y, y * y];
const told = (fit: readonly number[], row: readonly number[]): number =>
  row.reduce((sum, each, index) => sum + each * fit[index]!, 0);
