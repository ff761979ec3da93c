import { around, isEmpty } from './box.ts';
import type { Box, FilmFields } from './film.ts';
import { MARGIN, repeatRim } from './grid.ts';

/** Rows and columns between which there is paint over the base. */
export function paintedBox(fields: FilmFields): Box {
  const all: Box = { left: Infinity, right: -1, top: Infinity, bottom: -1 };
  for (const box of fields.boxes.slice(1)) {
    if (isEmpty(box)) continue;
    all.left = Math.min(all.left, box.left);
    all.right = Math.max(all.right, box.right);
    all.top = Math.min(all.top, box.top);
    all.bottom = Math.max(all.bottom, box.bottom);
  }
  return around(fields.grid, all, 3);
}

/**
 * Mean velocity, m/s, of the paint over the base in the middle of each cell, for what is carried along without being paint: the grain of a
 * color. Cells without paint over the base are 0.
 */
export function paintVelocity(
  fields: FilmFields,
  box: Box,
  out: readonly [Float64Array, Float64Array],
  depth: Float64Array,
): void {
  const { grid, thickness, velocity, boxes } = fields;
  const { stride } = grid;
  for (const direction of [0, 1] as const) {
    const next = direction === 0 ? 1 : stride;
    const to = out[direction];
    for (let row = box.top; row <= box.bottom; row += 1) {
      to.fill(0, row * stride + box.left, row * stride + box.right + 1);
      depth.fill(0, row * stride + box.left, row * stride + box.right + 1);
    }
    for (let layer = 1; layer < thickness.length; layer += 1) {
      if (isEmpty(boxes[layer]!)) continue;
      const [field, v] = [thickness[layer]!, velocity[direction][layer]!];
      const { left, right, top, bottom } = boxes[layer]!;
      for (let row = top; row <= bottom; row += 1) {
        for (let cell = row * stride + left; cell <= row * stride + right; cell += 1) {
          const h = field[cell]!;
          to[cell]! += 0.5 * h * (v[cell]! + v[cell + next]!);
          depth[cell]! += h;
        }
      }
    }
    for (let row = box.top; row <= box.bottom; row += 1) {
      for (let cell = row * stride + box.left; cell <= row * stride + box.right; cell += 1) {
        to[cell] = depth[cell]! > 1e-6 ? to[cell]! / depth[cell]! : 0;
      }
    }
  }
}

/** Between the four cells around a place; `x` and `y` in cells from the middle of the field's first. */
export function between(field: ArrayLike<number>, stride: number, x: number, y: number): number {
  // Written out: it is asked for thousands of seeds at every step.
  const left = Math.floor(x);
  const top = Math.floor(y);
  const right = x - left;
  const down = y - top;
  const at = top * stride + left;
  return (
    (1 - down) * ((1 - right) * field[at]! + right * field[at + 1]!) +
    down * ((1 - right) * field[at + stride]! + right * field[at + stride + 1]!)
  );
}

/** How far the paint in each cell was carried from where it was laid, m. For its grain only: never for amounts. */
export interface Grain {
  readonly across: Float64Array;
  readonly down: Float64Array;
}

export const freshGrain = (length: number): Grain => ({
  across: new Float64Array(length),
  down: new Float64Array(length),
});

/** Carries the grain along for some seconds (semi-Lagrangian: looks up where each cell's paint was). */
export function carryGrain(
  fields: FilmFields,
  grain: Grain,
  box: Box,
  seconds: number,
  velocity: readonly [Float64Array, Float64Array],
  spare: Grain,
): void {
  const { grid } = fields;
  const { stride, rows, cellM } = grid;
  const share = seconds / cellM;
  const [right, bottom] = [stride - 2, rows + 2 * MARGIN - 2];
  for (let row = box.top; row <= box.bottom; row += 1) {
    for (let column = box.left; column <= box.right; column += 1) {
      const cell = row * stride + column;
      const [u, v] = [velocity[0][cell]!, velocity[1][cell]!];
      if (u === 0 && v === 0) {
        spare.across[cell] = grain.across[cell]!;
        spare.down[cell] = grain.down[cell]!;
        continue;
      }
      const x = Math.min(right, Math.max(1, column - u * share));
      const y = Math.min(bottom, Math.max(1, row - v * share));
      spare.across[cell] = between(grain.across, stride, x, y) + u * seconds;
      spare.down[cell] = between(grain.down, stride, x, y) + v * seconds;
    }
  }
  for (let row = box.top; row <= box.bottom; row += 1) {
    const [from, to] = [row * stride + box.left, row * stride + box.right + 1];
    grain.across.set(spare.across.subarray(from, to), from);
    grain.down.set(spare.down.subarray(from, to), from);
  }
  repeatRim(grid.rim, grain.across);
  repeatRim(grid.rim, grain.down);
}
