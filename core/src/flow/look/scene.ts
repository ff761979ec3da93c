import type { Grain } from '../solver/carry.ts';
import type { CellSeed, SheetCells } from '../solver/cells.ts';
import type { FilmFields } from '../solver/film.ts';
import type { FilmGrid } from '../solver/grid.ts';
import { packSeeds, type PackedSeeds } from './seeds.ts';

/** How a layer looks. */
export interface LayerLook {
  /** Linear light, 0 to 1. */
  readonly rgb: readonly [number, number, number];
  /** Thickness, m, that lets 37 % of the light through. */
  readonly depthM: number;
  /** Whether its neighbors' colors run through it in veins. */
  readonly isVeined: boolean;
}

/** What does not change from picture to picture. */
export interface FilmCast {
  readonly layers: readonly LayerLook[];
  /** The bare support. */
  readonly support: readonly [number, number, number];
  /** Index of the sheet that opens; -1 without one. */
  readonly sheet: number;
  /** Thickness to which the sheet gathers in its net, m: a sheet this thick has no holes, and the net is the narrower the thicker it is. */
  readonly netM: number;
}

/** A film at a moment: plain numbers that a worker can send. */
export interface FilmFrame {
  readonly columns: number;
  readonly rows: number;
  readonly cellM: number;
  readonly stride: number;
  /** Fields one after the other, each of stride x (rows + margins): thickness of each layer, low surface, grain across and down; m. */
  readonly numbers: Float32Array;
  /** The holes, where they were asked for. */
  readonly seeds: PackedSeeds | null;
}

/** What a picture of a film is made from. */
export interface FilmLook extends FilmCast, Omit<FilmFrame, 'numbers' | 'seeds'> {
  readonly isInside: Uint8Array;
  /** From the support up, m. */
  readonly thickness: readonly Float32Array[];
  /** The surface without its ripples, m. */
  readonly low: Float32Array;
  /** How far the paint was carried, m. */
  readonly grainX: Float32Array;
  readonly grainY: Float32Array;
  readonly seeds: PackedSeeds;
}

/** Passes of 1-2-1 that leave only the low surface. */
const PASSES = 10;

/** A film as it is now, to be sent or drawn. */
export function frameOf(
  fields: FilmFields,
  grain: Grain,
  cells: SheetCells | null,
  withSeeds = true,
): FilmFrame {
  const { grid, thickness } = fields;
  const { columns, rows, cellM, stride, length } = grid;
  const numbers = new Float32Array((thickness.length + 3) * length);
  [...thickness, lowSurface(grid, thickness), grain.across, grain.down].forEach((field, index) =>
    numbers.set(field, index * length),
  );
  const seeds = withSeeds ? packSeeds(openSeeds(cells), columns * cellM, rows * cellM) : null;
  return { columns, rows, cellM, stride, numbers, seeds };
}

/** A frame with how its paints look. */
export function lookOf(frame: FilmFrame, cast: FilmCast, isInside: Uint8Array): FilmLook {
  const { columns, rows, cellM, stride, numbers } = frame;
  const length = isInside.length;
  const field = (index: number) => numbers.subarray(index * length, (index + 1) * length);
  const count = cast.layers.length;
  return {
    ...cast,
    ...{ columns, rows, cellM, stride, isInside },
    thickness: cast.layers.map((_, layer) => field(layer)),
    low: field(count),
    grainX: field(count + 1),
    grainY: field(count + 2),
    seeds: frame.seeds ?? packSeeds([], columns * cellM, rows * cellM),
  };
}

const openSeeds = (cells: SheetCells | null): readonly CellSeed[] =>
  cells?.seeds.filter(({ isOpen }) => isOpen) ?? [];

/** The surface smoothed until only what is wider than some cells is left. */
export function lowSurface(grid: FilmGrid, thickness: readonly Float64Array[]): Float32Array {
  const { stride, length } = grid;
  let low = new Float32Array(length);
  for (const field of thickness) for (let cell = 0; cell < length; cell += 1) low[cell]! += field[cell]!;
  let spare = new Float32Array(length);
  for (let pass = 0; pass < 2 * PASSES; pass += 1) {
    const off = pass % 2 === 0 ? 1 : stride;
    spare.set(low);
    for (let cell = off; cell < length - off; cell += 1) {
      spare[cell] = 0.25 * (low[cell - off]! + low[cell + off]!) + 0.5 * low[cell]!;
    }
    [low, spare] = [spare, low];
  }
  return low;
}
