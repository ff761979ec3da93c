import { around, isEmpty } from './box.ts';
import type { Box, FilmFields } from './film.ts';
import { repeatRim } from './grid.ts';

/** Thinner than this, m, paint does not set the length of the steps. */
export const CREEPING = 5e-5;
/** A cell that holds less, m, gives none: far above the smallest number there is, far below any paint. */
const SPENT = 1e-200;
/** A cell gives away at most this share of what it holds. */
export const ALL_BUT = 1 - 1e-7;

/**
 * Moves every layer by its velocities over a step, keeping volume: what leaves one cell enters the next or counts as lost.
 *
 * Law: finite volumes with the upwind thickness and a limited slope: van Leer's, or, crisp, superbee and at an edge of
 * color the most that stays bounded (limited downwind, Després & Lagoutière 2001, from memory). A cell never gives more than it holds,
 * and one that holds `SPENT` gives none: emptied on and on, what it holds would come to numbers that cannot be divided any more.
 *
 * @returns the greatest speed of paint thicker than `CREEPING`, m/s; NaN if any thickness isn't finite
 */
export function moveLayers(fields: FilmFields, seconds: number, stiffness: number): number {
  const { grid, thickness, boxes } = fields;
  let fastest = 0;
  /** Stays 0 as long as every thickness is a number. */
  let odd = 0;
  for (let layer = 0; layer < thickness.length; layer += 1) {
    if (isEmpty(boxes[layer]!)) continue;
    const box = around(grid, boxes[layer]!, 1);
    for (const direction of [0, 1] as const) {
      fastest = Math.max(fastest, fluxes(fields, layer, direction, box, seconds, stiffness));
    }
    holdBack(fields, layer, box);
    countLost(fields, layer, box);
    const [across, down] = fields.flux;
    const h = thickness[layer]!;
    for (let row = box.top; row <= box.bottom; row += 1) {
      for (let cell = row * grid.stride + box.left; cell <= row * grid.stride + box.right; cell += 1) {
        const after =
          h[cell]! - (across[cell + 1]! - across[cell]! + down[cell + grid.stride]! - down[cell]!);
        h[cell] = after;
        odd += after - after;
      }
    }
    repeatRim(grid.rim, h);
  }
  return fastest + odd;
}

/** What crosses each face of the box; nothing crosses its outer ones unless they are the rim. */
function fluxes(
  fields: FilmFields,
  layer: number,
  direction: 0 | 1,
  box: Box,
  seconds: number,
  stiffness: number,
): number {
  const { stride, cellM, columns, rows } = fields.grid;
  const off = direction === 0 ? 1 : stride;
  const h = fields.thickness[layer]!;
  const v = fields.velocity[direction][layer]!;
  const answer = fields.response[direction][layer]!;
  const rise = fields.rise[direction];
  const flux = fields.flux[direction];
  const share = seconds / cellM;
  const slope = stiffness / cellM;
  const isCrisp = fields.isCrisp && layer > 0;
  const right = box.right + (direction === 0 ? 1 : 0);
  const bottom = box.bottom + (direction === 1 ? 1 : 0);
  let fastest = 0;
  for (let row = box.top; row <= bottom; row += 1) {
    for (let face = row * stride + box.left; face <= row * stride + right; face += 1) {
      const speed = v[face]! + answer[face]! * slope * (rise[face]! - rise[face - off]!);
      const isForward = speed > 0;
      const here = isForward ? h[face - off]! : h[face]!;
      const ahead = isForward ? h[face]! : h[face - off]!;
      const behind = isForward ? h[face - 2 * off]! : h[face + off]!;
      const courant = Math.abs(speed) * share;
      const gained = isCrisp
        ? crispSlope(behind, here, ahead, courant)
        : vanLeer(behind, here, ahead, courant);
      const size = here > SPENT ? courant * here + gained : 0;
      flux[face] = isForward ? size : -size;
      if (here > CREEPING && courant > fastest) fastest = courant;
    }
  }
  // The margin lies one face beyond the rim's own: those faces carry what drips.
  const ends = direction === 0 ? [2, columns + 2] : [2, rows + 2];
  if (direction === 0) {
    for (let row = box.top; row <= box.bottom; row += 1) {
      if (box.left > ends[0]!) flux[row * stride + box.left] = 0;
      if (right < ends[1]!) flux[row * stride + right] = 0;
    }
  } else {
    for (let column = box.left; column <= box.right; column += 1) {
      if (box.top > ends[0]!) flux[box.top * stride + column] = 0;
      if (bottom < ends[1]!) flux[bottom * stride + column] = 0;
    }
  }
  return fastest / share;
}

/** What the slope adds to the upwind thickness, times the courant number. */
const vanLeer = (behind: number, here: number, ahead: number, courant: number): number => {
  const [back, on] = [here - behind, ahead - here];
  return back * on > 0 ? ((back * on) / (back + on)) * courant * Math.max(0, 1 - courant) : 0;
};

/** An edge that hardly moves is not sharpened at once: its share grows this fast with the courant number, up to a half. */
const STEEP = 25;

function crispSlope(behind: number, here: number, ahead: number, courant: number): number {
  const [back, on] = [here - behind, ahead - here];
  if (!(back * on > 0)) return 0;
  const [a, b] = [Math.abs(back), Math.abs(on)];
  const left = Math.max(0, 1 - courant);
  const isEdge = a + b > 0.5 * (ahead + behind);
  const size = isEdge
    ? Math.min(a * left * Math.min(0.5, STEEP * courant), courant * b)
    : 0.5 * courant * left * Math.max(Math.min(2 * a, b), Math.min(a, 2 * b));
  return on > 0 ? size : -size;
}

/** Scales what leaves a cell down to what it holds. */
function holdBack(fields: FilmFields, layer: number, box: Box): void {
  const { stride } = fields.grid;
  const h = fields.thickness[layer]!;
  const [across, down] = fields.flux;
  const share = fields.scratch;
  let isOver = false;
  for (let row = box.top; row <= box.bottom; row += 1) {
    for (let cell = row * stride + box.left; cell <= row * stride + box.right; cell += 1) {
      const out =
        Math.max(0, -across[cell]!) +
        Math.max(0, across[cell + 1]!) +
        Math.max(0, -down[cell]!) +
        Math.max(0, down[cell + stride]!);
      const held = h[cell]!;
      share[cell] = out > held ? (held / out) * ALL_BUT : 1;
      if (out > held) isOver = true;
    }
  }
  if (!isOver) return;
  for (let row = box.top - 1; row <= box.bottom + 1; row += 1) {
    share[row * stride + box.left - 1] = share[row * stride + box.right + 1] = 1;
  }
  for (let column = box.left - 1; column <= box.right + 1; column += 1) {
    share[(box.top - 1) * stride + column] = share[(box.bottom + 1) * stride + column] = 1;
  }
  for (const direction of [0, 1] as const) {
    const off = direction === 0 ? 1 : stride;
    const flux = fields.flux[direction];
    const right = box.right + (direction === 0 ? 1 : 0);
    const bottom = box.bottom + (direction === 1 ? 1 : 0);
    for (let row = box.top; row <= bottom; row += 1) {
      for (let face = row * stride + box.left; face <= row * stride + right; face += 1) {
        flux[face]! *= flux[face]! > 0 ? share[face - off]! : share[face]!;
      }
    }
  }
}

/** Adds what crossed the rim to what was lost. */
function countLost(fields: FilmFields, layer: number, box: Box): void {
  const { rim, stride, cellM } = fields.grid;
  let sum = 0;
  for (const direction of [0, 1] as const) {
    const { index, way } = rim.faces[direction];
    const flux = fields.flux[direction];
    for (let k = 0; k < index.length; k += 1) {
      const face = index[k]!;
      const [column, row] = [face % stride, Math.floor(face / stride)];
      const isIn =
        column >= box.left &&
        row >= box.top &&
        column <= box.right + (direction === 0 ? 1 : 0) &&
        row <= box.bottom + (direction === 1 ? 1 : 0);
      if (isIn) sum += way[k]! * flux[face]!;
    }
  }
  fields.lost[layer]! += sum * cellM ** 2;
}
