import { around, isEmpty } from './box.ts';
import { rowsPerLayer, sharedRows, type FilmDrive, type FilmFields } from './film.ts';
import { MARGIN } from './grid.ts';
import { REACH } from './smooth.ts';

type Row = Float64Array;

/** A face with less paint than this, m, is bare. */
export const BARE_M = 1e-5;
/** Paint thins no further beyond this many times the shear at which it runs twice as fast (an assumption). */
export const MOST_THINNING = 4;

/**
 * Mean velocity of each layer on the faces of one direction, and what a unit of surface slope would add to it.
 *
 * Law: lubrication of a stack. Down through the layers the shear grows by the pressure gradient of each, G h; up through them the
 * velocities add. Within a layer the shear falls evenly from T at its top to T - G h, and paint that thins when sheared runs
 * faster by 1 + min(|shear|, 4 tauHalf) / tauHalf (an Ellis fluid), added up exactly: so one liquid cut into layers moves like one. Source: lubrication theory (Oron, Davis & Bankoff 1997, from memory).
 *
 * @param direction 0 across, 1 down; the pressure of the surface's own slope is taken as it is now: `raiseSurface` follows
 */
export function layerVelocities(fields: FilmFields, direction: 0 | 1, drive: FilmDrive): void {
  const { grid, density, viscosity, thinning } = fields;
  const { stride, cellM } = grid;
  const off = direction === 0 ? 1 : stride;
  const layers = density.length;
  const perCell = 1 / cellM;
  const reference = density[layers - 1]!;
  const [lastColumn, lastRow] = [MARGIN + grid.columns - 1, MARGIN + grid.rows - 1];
  const endColumn = lastColumn + (direction === 0 ? 1 : 0);
  const endRow = lastRow + (direction === 1 ? 1 : 0);
  const [velocity, response] = [fields.velocity[direction], fields.response[direction]];
  const [flow, mobility] = [fields.flow[direction], fields.mobility[direction]];
  const shear = fields.airShear[direction];
  const air = fields.airPressure;
  const row = (index: number) => fields.rows.subarray(index * stride, (index + 1) * stride);
  const [pressure, weight, slope, top, topAnswer, speed, speedAnswer, behind, ahead, gate] = Array.from(
    { length: sharedRows },
    (_, index) => row(index),
  ) as unknown as readonly [Row, Row, Row, Row, Row, Row, Row, Row, Row, Row];
  const own = (layer: number, index: number) => row(sharedRows + rowsPerLayer * layer + index);
  const boxes = fields.boxes.map((box) => (isEmpty(box) ? null : around(grid, box, REACH - 2)));
  const spanOf = (layer: number, y: number) => {
    const box = boxes[layer];
    if (!box || y < box.top || y > box.bottom + (direction === 1 ? 1 : 0)) return null;
    return { from: box.left, to: box.right + (direction === 0 ? 1 : 0) };
  };
  const squared = drive.turning ** 2;
  const most = thinning > 0 ? MOST_THINNING / thinning : 0;

  for (let y = MARGIN; y <= endRow; y += 1) {
    const start = y * stride;
    for (let x = MARGIN; x <= endColumn; x += 1) {
      const face = start + x;
      pressure[x] = drive.isBlown ? (air[face]! - air[face - off]!) * perCell : 0;
      top[x] = drive.isBlown ? 0.5 * (shear[face]! + shear[face - off]!) : 0;
      weight[x] = slope[x] = topAnswer[x] = speed[x] = speedAnswer[x] = behind[x] = ahead[x] = 0;
      flow[face] = mobility[face] = 0;
    }
    for (let layer = 0; layer < layers; layer += 1) {
      const span = spanOf(layer, y);
      if (!span) continue;
      const [thick, smooth] = [fields.thickness[layer]!, fields.smooth[layer]!];
      const [depth, rise] = [own(layer, 0), own(layer, 1)];
      for (let x = span.from; x <= span.to; x += 1) {
        const face = start + x;
        const [before, after] = [thick[face - off]!, thick[face]!];
        depth[x] = 0.5 * (before + after);
        behind[x]! += before;
        ahead[x]! += after;
        pressure[x]! += (after - before) * perCell * drive.gravity * reference;
        rise[x] = (smooth[face]! - smooth[face - off]!) * perCell;
        slope[x]! += rise[x]!;
      }
    }
    for (let x = MARGIN; x <= endColumn; x += 1) {
      const [least, deepest] = [Math.min(behind[x]!, ahead[x]!), Math.max(behind[x]!, ahead[x]!)];
      gate[x] = least < BARE_M && deepest < fields.pinM ? 0 : 1;
    }
    for (let layer = layers - 1; layer >= 0; layer -= 1) {
      const span = spanOf(layer, y);
      if (!span) continue;
      const [depth, rise, shearAt, gradient, answerAt] = [0, 1, 2, 3, 4].map((k) => own(layer, k)) as [
        Float64Array,
        Float64Array,
        Float64Array,
        Float64Array,
        Float64Array,
      ];
      const lighter = density[layer]! - reference;
      // The push at a face: along the face of the support, and outward from the point it turns about.
      const push = density[layer]! * (direction === 0 ? drive.alongX : drive.alongY);
      const turn = density[layer]! * squared;
      const center = direction === 0 ? drive.turningX : drive.turningY;
      for (let x = span.from; x <= span.to; x += 1) {
        const place = direction === 0 ? (x - MARGIN) * cellM : (y - MARGIN) * cellM;
        const pull =
          pressure[x]! + drive.gravity * (lighter * slope[x]! + weight[x]!) - push - turn * (place - center);
        gradient[x] = pull;
        shearAt[x] = top[x]!;
        top[x]! -= pull * depth[x]!;
        answerAt[x] = topAnswer[x]!;
        topAnswer[x]! -= depth[x]!;
        weight[x]! += lighter * rise[x]!;
        slope[x]! -= rise[x]!;
      }
    }
    for (let layer = 0; layer < layers; layer += 1) {
      const span = spanOf(layer, y);
      if (!span) continue;
      const [depth, , shearAt, gradient, answerAt] = [0, 1, 2, 3, 4].map((k) => own(layer, k)) as [
        Float64Array,
        Float64Array,
        Float64Array,
        Float64Array,
        Float64Array,
      ];
      const fluidity = 1 / viscosity[layer]!;
      const [v, a] = [velocity[layer]!, response[layer]!];
      for (let x = span.from; x <= span.to; x += 1) {
        const face = start + x;
        const h = depth[x]!;
        const [above, below] = [shearAt[x]!, shearAt[x]! - gradient[x]! * h];
        const [size, sizeBelow] = [Math.min(most, Math.abs(above)), Math.min(most, Math.abs(below))];
        const q = h * fluidity;
        let mean = (above * (size + sizeBelow) + below * (size + 3 * sizeBelow)) / 12;
        let across = (above * (2 * size + sizeBelow) + below * (size + 2 * sizeBelow)) / 6;
        if (above * below < 0) {
          // The shear turns round within the layer, this share of it below the top.
          const turn = above / (above - below);
          const rest = 1 - turn;
          mean = (above * size * turn * turn) / 12 + below * sizeBelow * rest * (turn / 3 + rest / 4);
          across = (above * size * turn + below * sizeBelow * rest) / 3;
        }
        v[face] = gate[x]! * (speed[x]! + q * ((above + 2 * below) / 6 + thinning * mean));
        speed[x]! += q * ((above + below) / 2 + thinning * across);
        const answer = answerAt[x]!;
        const [m0, m1] = [1 + 2 * thinning * size, 1 + 2 * thinning * sizeBelow];
        a[face] = gate[x]! * (speedAnswer[x]! + q * mean4(answer, answer - h, m0, m1));
        speedAnswer[x]! += q * across4(answer, answer - h, m0, m1);
        flow[face]! += v[face]! * h;
        mobility[face]! -= a[face]! * h;
      }
    }
  }
  closeRim(fields, direction, off);
}

/** Mean over a layer of the velocity that shear a (top) to b (bottom), each times its m, builds up: exact for products of two even falls. */
const mean4 = (a: number, b: number, m0: number, m1: number): number =>
  (a * (m0 + m1) + b * (m0 + 3 * m1)) / 12;

/** The same at the layer's top. */
const across4 = (a: number, b: number, m0: number, m1: number): number =>
  (a * (2 * m0 + m1) + b * (m0 + 2 * m1)) / 6;

/** At the rim paint only leaves, and where there is no support nothing moves. */
function closeRim(fields: FilmFields, direction: 0 | 1, off: number): void {
  const { index, way } = fields.grid.rim.faces[direction];
  const [flow, mobility] = [fields.flow[direction], fields.mobility[direction]];
  for (let k = 0; k < index.length; k += 1) {
    const face = index[k]!;
    const out = way[k]!;
    flow[face] = 0;
    mobility[face] = 0;
    for (let layer = 0; layer < fields.density.length; layer += 1) {
      const v = fields.velocity[direction][layer]!;
      if (v[face]! * out <= 0) v[face] = 0;
      fields.response[direction][layer]![face] = 0;
      flow[face]! += v[face]! * fields.thickness[layer]![out > 0 ? face - off : face]!;
    }
  }
}
