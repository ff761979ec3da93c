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

/** What a picture of a film is made from: plain numbers that can be sent from a worker. */
export interface FilmLook {
  readonly columns: number;
  readonly rows: number;
  readonly cellM: number;
  readonly stride: number;
  readonly isInside: Uint8Array;
  readonly layers: readonly LayerLook[];
  readonly support: readonly [number, number, number];
  /** From the support up, m. */
  readonly thickness: readonly Float32Array[];
  /** The surface without its ripples, m. */
  readonly low: Float32Array;
  /** How far the paint was carried, m. */
  readonly grainX: Float32Array;
  readonly grainY: Float32Array;
  /** Index of the sheet that opens; -1 without one. */
  readonly sheet: number;
  readonly seeds: PackedSeeds;
}

/** Passes of 1-2-1 that leave only the low surface. */
const PASSES = 10;

/** A film as it is now, for drawing. */
export function lookOf(
  fields: FilmFields,
  look: { readonly layers: readonly LayerLook[]; readonly support: readonly [number, number, number] },
  grain: Grain,
  cells: SheetCells | null,
): FilmLook {
  const { grid, thickness } = fields;
  return {
    columns: grid.columns,
    rows: grid.rows,
    cellM: grid.cellM,
    stride: grid.stride,
    isInside: grid.rim.inside,
    ...look,
    thickness: thickness.map((field) => Float32Array.from(field)),
    low: lowSurface(grid, thickness),
    grainX: Float32Array.from(grain.across),
    grainY: Float32Array.from(grain.down),
    sheet: cells?.layer ?? -1,
    seeds: packSeeds(openSeeds(cells), grid.columns * grid.cellM, grid.rows * grid.cellM),
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
