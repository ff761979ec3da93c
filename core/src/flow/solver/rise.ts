import type { FilmFields } from './film.ts';
import { MARGIN } from './grid.ts';

/**
 * How far the surface rises in a step, worked out as if the step were over already: explicit steps of a deep film blow up beyond half
 * a millisecond.
 *
 * Law: (1 - dt Lx)(1 - dt Ly) rise = -dt div flow, L of the films' mobility times `stiffness` (Douglas & Gunn's alternating
 * directions, from memory). The direction swept first flows by the half-way rise: with the final one in both it blows up.
 *
 * @param stiffness density times gravity, Pa/m; @param acrossFirst alternates from step to step
 */
export function raiseSurface(
  fields: FilmFields,
  seconds: number,
  stiffness: number,
  acrossFirst: boolean,
): void {
  const { grid, flow, rise } = fields;
  const { stride, columns, rows, cellM } = grid;
  const share = seconds / cellM;
  const coupling = (seconds * stiffness) / cellM ** 2;
  const [across, down] = rise;
  const [first, second] = acrossFirst ? [across, down] : [down, across];
  for (let row = MARGIN; row < MARGIN + rows; row += 1) {
    const start = row * stride + MARGIN;
    for (let cell = start; cell < start + columns; cell += 1) {
      first[cell] = -share * (flow[0][cell + 1]! - flow[0][cell]! + flow[1][cell + stride]! - flow[1][cell]!);
    }
  }
  (acrossFirst ? sweepAcross : sweepDown)(fields, first, coupling);
  second.set(first);
  (acrossFirst ? sweepDown : sweepAcross)(fields, second, coupling);
}

/** Solves the rows one by one (Thomas). */
function sweepAcross({ grid, mobility, scratch }: FilmFields, rise: Float64Array, coupling: number): void {
  const { stride, columns, rows } = grid;
  const faces = mobility[0];
  for (let row = MARGIN; row < MARGIN + rows; row += 1) {
    const start = row * stride + MARGIN;
    const last = start + columns - 1;
    let [carried, before] = [0, 0];
    for (let cell = start; cell <= last; cell += 1) {
      const [left, right] = [coupling * faces[cell]!, coupling * faces[cell + 1]!];
      const pivot = 1 / (1 + left + right - left * carried);
      carried = right * pivot;
      scratch[cell] = carried;
      before = (rise[cell]! + left * before) * pivot;
      rise[cell] = before;
    }
    for (let cell = last - 1; cell >= start; cell -= 1) rise[cell]! += scratch[cell]! * rise[cell + 1]!;
  }
}

/** Solves the columns, all at once row by row. */
function sweepDown({ grid, mobility, scratch }: FilmFields, rise: Float64Array, coupling: number): void {
  const { stride, columns, rows } = grid;
  const faces = mobility[1];
  for (let row = MARGIN; row < MARGIN + rows; row += 1) {
    const start = row * stride + MARGIN;
    const isFirst = row === MARGIN;
    for (let cell = start; cell < start + columns; cell += 1) {
      const [up, down] = [coupling * faces[cell]!, coupling * faces[cell + stride]!];
      const [carried, before] = isFirst ? [0, 0] : [scratch[cell - stride]!, rise[cell - stride]!];
      const pivot = 1 / (1 + up + down - up * carried);
      scratch[cell] = down * pivot;
      rise[cell] = (rise[cell]! + up * before) * pivot;
    }
  }
  for (let row = MARGIN + rows - 2; row >= MARGIN; row -= 1) {
    const start = row * stride + MARGIN;
    for (let cell = start; cell < start + columns; cell += 1) {
      rise[cell]! += scratch[cell]! * rise[cell + stride]!;
    }
  }
}
