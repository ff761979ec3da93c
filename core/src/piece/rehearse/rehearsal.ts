import { frameOf, type FilmFrame } from '../../flow/look/index.ts';
import {
  blowOn,
  dryLayers,
  freshSkin,
  calm,
  copyOfSeed,
  flowOn,
  forEachCell,
  LEVEL,
  repeatRim,
  spun,
  startle,
  tilted,
  type CellSeed,
  type CellSettings,
  type FilmAir,
  type FilmDrive,
  type LiveFilm,
  type MakeKernel,
  type Skin,
} from '../../flow/solver/index.ts';
import type { Place } from '../plan/index.ts';
import { emptyStage, lay, USUAL_UNKNOWNS, type FilmUnknowns } from './stage.ts';
import type { Scene, SceneLay } from './scene.ts';

/** What pushes the paint for a while. */
export interface Push {
  readonly air: FilmAir | null;
  /** The point of a skewer, and how it is drawn, mm a second. */
  readonly skewer: { readonly at: Place; readonly speed: Place } | null;
  readonly tilt: { readonly deg: number; readonly directionDeg: number } | null;
  readonly spin: { readonly rpm: number; readonly at: Place } | null;
}

export const NO_PUSH: Push = { air: null, skewer: null, tilt: null, spin: null };

/** The film at a moment that can be gone back to. */
interface Snapshot {
  readonly seconds: number;
  readonly airSeconds: number;
  readonly thickness: readonly Float64Array[];
  readonly lost: Float64Array;
  readonly grain: readonly [Float64Array, Float64Array];
  readonly seeds: readonly CellSeed[];
  readonly viscosity: Float64Array;
  readonly water: Float64Array;
  readonly hung: Float64Array;
  readonly reach: Float64Array;
}

/** A pour that is being rehearsed. */
export interface Rehearsal {
  readonly scene: Scene;
  readonly unknowns: FilmUnknowns;
  readonly film: LiveFilm;
  /** How far each layer has dried. */
  readonly skin: Skin;
  sinceDried: number;
  airSeconds: number;
  pushed: string;
  readonly history: Snapshot[];
}

/** Snapshots are taken at least so often while the paint is pushed, s; so many are kept. */
const SNAP_EVERY_S = 1.5;
const SNAPS_KEPT = 24;

/** A support with the scene's paint on it, before the air. */
export function startRehearsal(
  scene: Scene,
  cells: number,
  makeKernel: MakeKernel,
  unknowns: FilmUnknowns = USUAL_UNKNOWNS,
  otherCells: readonly CellSettings[] = [],
): Rehearsal {
  const film = emptyStage(scene, cells, makeKernel, unknowns, otherCells);
  for (const each of scene.lays) lay(film, each);
  const skin = freshSkin(film.kernel.fields);
  const rehearsal: Rehearsal = {
    ...{ scene, unknowns, film, skin },
    ...{ sinceDried: 0, airSeconds: 0, pushed: '', history: [] },
  };
  keep(rehearsal);
  return rehearsal;
}

/** Lets the paint run for some seconds under what pushes it. */
export function pushOn(rehearsal: Rehearsal, seconds: number, push: Push): void {
  const { film, unknowns } = rehearsal;
  const { fields } = film.kernel;
  const kind = JSON.stringify([push.air !== null, push.skewer !== null, push.tilt, push.spin?.rpm]);
  if (kind !== rehearsal.pushed) {
    startle(film.clock);
    rehearsal.pushed = kind;
  }
  const last = rehearsal.history.at(-1);
  if (kind !== IDLE && (!last || film.clock.seconds - last.seconds >= SNAP_EVERY_S)) keep(rehearsal);
  if (push.air) blowOn(fields, push.air, unknowns.friction, true);
  else if (push.skewer) drag(film, push.skewer);
  const drive: FilmDrive = {
    ...(push.tilt ? tilted(push.tilt.deg, push.tilt.directionDeg) : LEVEL),
    ...(push.spin ? spun(push.spin.rpm, push.spin.at.x, push.spin.at.y) : {}),
    isBlown: push.air !== null || push.skewer !== null,
  };
  flowOn(film, seconds, drive);
  if (drive.isBlown) calm(fields);
  if (push.air) rehearsal.airSeconds += seconds;
  rehearsal.sinceDried += seconds;
  if (rehearsal.sinceDried >= DRY_EVERY_S) {
    dryLayers(
      fields,
      rehearsal.skin,
      rehearsal.scene.layers.map(({ viscosityPaS }) => viscosityPaS),
      rehearsal.sinceDried,
    );
    rehearsal.sinceDried = 0;
  }
}

/** Drying is looked at this often, s. */
const DRY_EVERY_S = 1;

const IDLE = JSON.stringify([false, false, null, undefined]);

/** Width of a skewer's point, m, and the shear it drags with, Pa for each mm a second (assumptions). */
const SKEWER_M = 2.5e-3;
const SKEWER_PA = 1.2;

/** A skewer drags the paint around its point along. */
function drag({ kernel }: LiveFilm, { at, speed }: NonNullable<Push['skewer']>): void {
  const { grid, airShear } = kernel.fields;
  forEachCell(grid, (cell, column, row) => {
    const x = (column + 0.5) * grid.cellM - at.x / 1000;
    const y = (row + 0.5) * grid.cellM - at.y / 1000;
    const near = Math.exp(-(x * x + y * y) / Math.max(SKEWER_M, grid.cellM) ** 2);
    airShear[0][cell] = SKEWER_PA * speed.x * near;
    airShear[1][cell] = SKEWER_PA * speed.y * near;
  });
}

/** Lays more paint. */
export function layMore(rehearsal: Rehearsal, more: SceneLay): void {
  keep(rehearsal);
  lay(rehearsal.film, more);
  startle(rehearsal.film.clock);
}

/** Scrapes a round of the support bare. */
export function scrape(rehearsal: Rehearsal, at: Place, radiusMm: number): void {
  keep(rehearsal);
  const { grid, thickness, lost } = rehearsal.film.kernel.fields;
  const radius = radiusMm / 1000;
  forEachCell(grid, (cell, column, row) => {
    const x = (column + 0.5) * grid.cellM - at.x / 1000;
    const y = (row + 0.5) * grid.cellM - at.y / 1000;
    if (x * x + y * y > radius * radius) return;
    thickness.forEach((field, layer) => {
      lost[layer]! += field[cell]! * grid.cellM ** 2;
      field[cell] = 0;
    });
  });
  for (const field of thickness) repeatRim(grid.rim, field);
  startle(rehearsal.film.clock);
}

/** A torch's flame opens what is about to open anyway, so wide, mm (common practice). */
const FLAME_MM = 30;

/** Passes a torch over a place: every hole under it that has a seed opens. Returns how many did. */
export function torch({ film }: Rehearsal, at: Place): number {
  let opened = 0;
  for (const seed of film.cells?.seeds ?? []) {
    if (seed.isOpen || Math.hypot(seed.x * 1000 - at.x, seed.y * 1000 - at.y) > FLAME_MM) continue;
    seed.isOpen = true;
    seed.radius = 3e-4;
    opened += 1;
  }
  return opened;
}

const NOTHING = new Float64Array(0);

/** Keeps the film as it is, to be gone back to. */
export function keep(rehearsal: Rehearsal): void {
  const { film, history, airSeconds } = rehearsal;
  const { thickness, lost } = film.kernel.fields;
  history.push({
    seconds: film.clock.seconds,
    airSeconds,
    thickness: thickness.map((field) => Float64Array.from(field)),
    lost: Float64Array.from(lost),
    grain: [Float64Array.from(film.grain.across), Float64Array.from(film.grain.down)],
    seeds: (film.cells?.seeds ?? []).map(copyOfSeed),
    viscosity: Float64Array.from(film.kernel.fields.viscosity),
    water: Float64Array.from(rehearsal.skin.water),
    hung: film.sides?.hung.slice() ?? NOTHING,
    reach: film.sides?.reach.slice() ?? NOTHING,
  });
  if (history.length > SNAPS_KEPT) history.splice(1, 1);
}

/** Goes back to the last kept moment before now, or to the very first. Returns the seconds it stands at. */
export function stepBack(rehearsal: Rehearsal, toStart = false): number {
  const { film, history } = rehearsal;
  const now = film.clock.seconds;
  while (history.length > 1 && (toStart || history.at(-1)!.seconds > now - 1e-6)) history.pop();
  const { seconds, airSeconds, thickness, lost, grain, seeds, viscosity, water, hung, reach } =
    history.at(-1)!;
  const { fields } = film.kernel;
  thickness.forEach((field, layer) => fields.thickness[layer]!.set(field));
  fields.lost.set(lost);
  fields.viscosity.set(viscosity);
  rehearsal.skin.water.set(water);
  film.sides?.hung.set(hung);
  film.sides?.reach.set(reach);
  film.grain.across.set(grain[0]);
  film.grain.down.set(grain[1]);
  if (film.cells) {
    film.cells.seeds = seeds.map(copyOfSeed);
  }
  calm(fields);
  film.clock.seconds = seconds;
  rehearsal.airSeconds = airSeconds;
  startle(film.clock);
  return seconds;
}

/** The film as it is now, to be sent or drawn. */
export const frameNow = ({ film }: Rehearsal, withSeeds = true): FilmFrame =>
  frameOf(film.kernel.fields, film.grain, film.cells, withSeeds);

/**
 * Thickness of every layer along a line across the face at a height.
 *
 * @returns for each layer, mm at every column
 */
export function cutAcross({ film }: Rehearsal, yMm: number): number[][] {
  const { grid, thickness } = film.kernel.fields;
  const row = Math.min(grid.rows - 1, Math.max(0, Math.floor(yMm / 1000 / grid.cellM)));
  const start = (row + 2) * grid.stride + 2;
  return thickness.map((field) => Array.from(field.subarray(start, start + grid.columns), (h) => h * 1000));
}
