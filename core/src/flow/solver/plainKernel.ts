import { findBox } from './box.ts';
import { filmFields, type FilmDrive, type FilmFields, type FilmLayer, type FilmNature } from './film.ts';
import type { FilmGrid } from './grid.ts';
import { raiseSurface } from './rise.ts';
import { smoothLayers } from './smooth.ts';
import { moveLayers } from './transport.ts';
import { layerVelocities } from './velocity.ts';

/** Moves a film by one step. */
export interface FilmKernel {
  readonly fields: FilmFields;
  /**
   * @param stepNumber alternates the sweeps
   * @returns the greatest speed, m/s
   */
  step(seconds: number, drive: FilmDrive, stepNumber: number): number;
}

/** Makes a film without paint that can be stepped. */
export type MakeKernel = (grid: FilmGrid, layers: readonly FilmLayer[], given: FilmNature) => FilmKernel;

/** A film whose steps are plain TypeScript. */
export const plainFilm: MakeKernel = (grid, layers, given) => plainKernel(filmFields(grid, layers, given));

/**
 * The film's step in plain TypeScript: the reference that the compiled kernels are held against.
 *
 * @param fields thickness of every layer in them, its rim repeated
 */
export function plainKernel(fields: FilmFields): FilmKernel {
  const heaviest = Math.max(...fields.density);
  return {
    fields,
    step(seconds, drive, stepNumber) {
      const stiffness = heaviest * drive.gravity;
      fields.boxes.forEach((box, layer) => findBox(fields.grid, fields.thickness[layer]!, box));
      smoothLayers(fields);
      layerVelocities(fields, 0, drive);
      layerVelocities(fields, 1, drive);
      raiseSurface(fields, seconds, stiffness, stepNumber % 2 === 1);
      return moveLayers(fields, seconds, stiffness);
    },
  };
}
