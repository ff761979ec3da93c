import { InputError } from '../../base/error/index.ts';
import { GRAVITY_MS2 } from '../film/level.ts';
import { advance, filmClock, startle } from './advance.ts';
import { blowOn, calm, type FilmAir } from './blow.ts';
import type { FilmDrive, FilmFields } from './film.ts';
import { filmGrid, type FilmEdge } from './grid.ts';
import { layDisc, layFilm } from './lay.ts';
import { measureLayer, seenShares, type LayerMeasures } from './measure.ts';
import { plainFilm, type MakeKernel } from './plainKernel.ts';

/** One thing done to the film. Angles from the top edge clockwise, places from the top left corner. */
export type FilmStep =
  | { readonly kind: 'rest'; readonly seconds: number }
  | { readonly kind: 'tilt'; readonly deg: number; readonly directionDeg: number; readonly seconds: number }
  | {
      readonly kind: 'spin';
      readonly rpm: number;
      readonly xMm: number;
      readonly yMm: number;
      readonly seconds: number;
    }
  | ({ readonly kind: 'air'; readonly seconds: number } & FilmAir);

export interface FilmRun {
  readonly widthMm: number;
  readonly heightMm: number;
  readonly cellMm: number;
  readonly edge: FilmEdge;
  /** From the support up. */
  readonly layers: readonly {
    readonly name: string;
    readonly viscosityPaS: number;
    readonly densityKgM3: number;
  }[];
  readonly films: readonly { readonly layer: string; readonly thicknessMm: number }[];
  readonly puddles: readonly {
    readonly layer: string;
    readonly xMm: number;
    readonly yMm: number;
    readonly radiusMm: number;
    readonly volumeMl: number;
  }[];
  readonly steps: readonly FilmStep[];
  /** Stress at which paint runs twice as fast; null for paint that does not thin when sheared. */
  readonly tauHalfPa: number | null;
}

export interface FilmRunResult {
  readonly seconds: number;
  readonly steps: number;
  readonly layers: readonly ({ readonly name: string; readonly lostMl: number } & LayerMeasures)[];
  readonly seenShares: Readonly<Record<string, number>>;
}

/** More work than this is refused: cells times layers, and those times steps. */
const MOST_CELLS = 4e6;
const MOST_WORK = 2e10;

/** The film at rest on a level table. */
export const LEVEL: FilmDrive = {
  gravity: GRAVITY_MS2,
  alongX: 0,
  alongY: 0,
  turning: 0,
  turningX: 0,
  turningY: 0,
  isBlown: false,
};

/**
 * What pushes the film on a tilted support.
 *
 * @param deg from level; @param directionDeg the way down, from the top edge clockwise
 * @example tilted(90, 180).alongY // 9.81
 */
export function tilted(deg: number, directionDeg: number): FilmDrive {
  const [tilt, toward] = [(deg * Math.PI) / 180, (directionDeg * Math.PI) / 180];
  const along = GRAVITY_MS2 * Math.sin(tilt);
  return {
    ...LEVEL,
    gravity: GRAVITY_MS2 * Math.cos(tilt),
    alongX: along * Math.sin(toward),
    alongY: -along * Math.cos(toward),
  };
}

/**
 * Turning about a point of the face.
 *
 * @example spun(60, 100, 100).turning // 6.283
 */
export const spun = (
  rpm: number,
  xMm: number,
  yMm: number,
): Pick<FilmDrive, 'turning' | 'turningX' | 'turningY'> => ({
  turning: (rpm * 2 * Math.PI) / 60,
  turningX: xMm / 1000,
  turningY: yMm / 1000,
});

/**
 * What a step pushes with; its air is laid into the fields.
 */
export function driveOf(step: FilmStep, fields: FilmFields): FilmDrive {
  switch (step.kind) {
    case 'rest':
      return LEVEL;
    case 'tilt':
      return tilted(step.deg, step.directionDeg);
    case 'spin':
      return { ...LEVEL, ...spun(step.rpm, step.xMm, step.yMm) };
    case 'air':
      blowOn(fields, step);
      return { ...LEVEL, isBlown: true };
  }
}

/**
 * Lays films and puddles, does the steps in order, and measures.
 *
 * @param makeKernel steps the film: the plain one, or one that was compiled
 * @throws InputError naming the field
 * @example runFilm({ widthMm: 40, heightMm: 40, cellMm: 2, edge: 'wall', layers: [{ name: 'base', viscosityPaS: 2, densityKgM3: 1100 }],
 *   films: [{ layer: 'base', thicknessMm: 2 }], puddles: [], steps: [{ kind: 'rest', seconds: 1 }], tauHalfPa: null }).seconds // 1
 */
export function runFilm(run: FilmRun, makeKernel: MakeKernel = plainFilm): FilmRunResult {
  const [columns, rows] = [run.widthMm, run.heightMm].map((mm) => Math.round(mm / run.cellMm)) as [
    number,
    number,
  ];
  if (columns * rows * run.layers.length > MOST_CELLS) {
    throw new InputError('cellMm', 'This is too fine: take larger cells, a smaller face or fewer layers.');
  }
  const grid = filmGrid({ columns, rows, cellM: run.cellMm / 1000, edge: run.edge });
  const kernel = makeKernel(grid, run.layers, { tauHalfPa: run.tauHalfPa, isCrisp: false });
  const { fields } = kernel;
  const missed = run.layers.map(() => 0);
  const layerAt = (name: string, field: string) => {
    const index = run.layers.findIndex((layer) => layer.name === name);
    if (index < 0) throw new InputError(field, `There is no layer "${name}".`);
    return index;
  };
  run.films.forEach((film, index) =>
    layFilm(grid, fields.thickness[layerAt(film.layer, `films.${index}.layer`)]!, film.thicknessMm),
  );
  run.puddles.forEach((puddle, index) => {
    const layer = layerAt(puddle.layer, `puddles.${index}.layer`);
    missed[layer]! += layDisc(grid, fields.thickness[layer]!, puddle);
  });
  const clock = filmClock();
  let work = 0;
  for (const step of run.steps) {
    const drive = driveOf(step, fields);
    startle(clock);
    advance(kernel, clock, step.seconds, drive, () => {
      work += columns * rows * run.layers.length;
      if (work > MOST_WORK) {
        throw new InputError('steps', 'This would take hours: take larger cells or fewer seconds.');
      }
    });
    if (step.kind === 'air') calm(fields);
  }
  const shares = seenShares(grid, fields.thickness);
  return {
    seconds: clock.seconds,
    steps: clock.steps,
    layers: run.layers.map(({ name }, layer) => ({
      name,
      ...measureLayer(grid, fields.thickness[layer]!),
      lostMl: (fields.lost[layer]! + missed[layer]!) * 1e6,
    })),
    seenShares: Object.fromEntries(run.layers.map(({ name }, layer) => [name, shares[layer]!])),
  };
}
