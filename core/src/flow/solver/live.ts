import { advance, filmClock, type FilmClock } from './advance.ts';
import { carryGrain, freshGrain, paintedBox, paintVelocity, type Grain } from './carry.ts';
import { openCells, type SheetCells } from './cells.ts';
import type { FilmDrive } from './film.ts';
import type { FilmKernel } from './plainKernel.ts';
import { runOver, type Sides } from './sides.ts';

/** A film with what is carried along in it. */
export interface LiveFilm {
  readonly kernel: FilmKernel;
  readonly clock: FilmClock;
  readonly grain: Grain;
  /** Null where no sheet opens. */
  readonly cells: SheetCells | null;
  /** The same sheet as it would open otherwise: cells are carried by the film and do not push it. */
  readonly otherCells: readonly SheetCells[];
  /** Null where what leaves the face is gone. */
  readonly sides: Sides | null;
  readonly spare: Grain;
  readonly velocity: readonly [Float64Array, Float64Array];
  /** Seconds since grain and cells were last carried. */
  sinceCarried: number;
}

/** Grain and cells move this often, s: they need no more. */
const CARRY_EVERY_S = 0.04;

export function liveFilm(
  kernel: FilmKernel,
  cells: SheetCells | null,
  sides: Sides | null = null,
  otherCells: readonly SheetCells[] = [],
): LiveFilm {
  const { length } = kernel.fields.grid;
  return {
    kernel,
    clock: filmClock(),
    grain: freshGrain(length),
    cells,
    otherCells,
    sides,
    spare: freshGrain(length),
    velocity: [new Float64Array(length), new Float64Array(length)],
    sinceCarried: 0,
  };
}

/** Lets a film move on with its grain and its cells. */
export function flowOn(film: LiveFilm, seconds: number, drive: FilmDrive): void {
  // What was laid beside the face or scraped off meanwhile did not run over its rim.
  film.sides?.seenLost.set(film.kernel.fields.lost);
  advance(film.kernel, film.clock, seconds, drive, (stepS) => {
    if (film.sides) runOver(film.sides, film.kernel.fields, stepS, drive);
    film.sinceCarried += stepS;
    if (film.sinceCarried >= CARRY_EVERY_S) carry(film);
  });
  if (film.sinceCarried > 0) carry(film);
}

function carry(film: LiveFilm): void {
  const { fields } = film.kernel;
  const box = paintedBox(fields);
  if (box.right >= box.left) {
    paintVelocity(fields, box, film.velocity, film.spare.across);
    carryGrain(fields, film.grain, box, film.sinceCarried, film.velocity, film.spare);
  }
  if (film.cells) openCells(film.cells, fields, film.sinceCarried);
  for (const other of film.otherCells) openCells(other, fields, film.sinceCarried);
  film.sinceCarried = 0;
}
