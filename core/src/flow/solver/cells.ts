import { gaussian, seededRandom, type Random } from '../../base/random/index.ts';
import { GRAVITY_MS2 } from '../film/level.ts';
import { between } from './carry.ts';
import type { FilmFields } from './film.ts';
import { MARGIN } from './grid.ts';
import { SeedIndex } from './seedIndex.ts';

/**
 * How a sheet of activator opens: what the grid is too coarse for. All are assumptions of the film model, to be corrected by the artist's
 * measured photos.
 */
export interface CellSettings {
  /** Usual spacing of the places where it opens, m: the forecast's, or the artist's own. */
  readonly spacingM: number;
  /** It opens where it is thinner than this, m. */
  readonly ruptureM: number;
  /** What pulls a hole open, N/m; below 0 the sheet spreads and closes holes. */
  readonly spreadingNM: number;
  /** Speed of a hole's rim: this share of the pull over the viscosity below. */
  readonly opening: number;
  /** Thickness to which the sheet gathers in the net between holes, m: it decides how wide the net is. */
  readonly netM: number;
  /** Largest radius of a hole, m. */
  readonly largestM: number;
}

export const USUAL_CELLS: CellSettings = {
  spacingM: 3e-3,
  ruptureM: 2.6e-4,
  spreadingNM: 3e-3,
  opening: 0.3,
  netM: 3.5e-4,
  largestM: 3e-3,
};

/** A place where the sheet opens, carried along with it. */
export interface CellSeed {
  /** From the top left corner of the face, m. */
  x: number;
  y: number;
  /** 0 until it opens. */
  radius: number;
  isOpen: boolean;
  /** Ripple of the sheet here, m: it opens when that is as thick as the sheet. */
  ripple: number;
  /** How the paint around it was stretched since it opened, row by row. */
  stretch: [number, number, number, number];
  /** How easily it opens and grows, 1 as usual. */
  readonly strength: number;
  /** What sets it apart from others, 0 to 1. */
  readonly kind: number;
  /** Seconds without a sheet. */
  bare: number;
}

/** A seed to be kept. Written out: thousands of them are read at every step, and an object that was spread together is many times slower to read. */
export const copyOfSeed = ({
  x,
  y,
  radius,
  isOpen,
  ripple,
  stretch,
  strength,
  kind,
  bare,
}: CellSeed): CellSeed => ({
  x,
  y,
  radius,
  isOpen,
  ripple,
  stretch: [...stretch],
  strength,
  kind,
  bare,
});

/** The sheet's seeds and what they need to go on. */
export interface SheetCells {
  readonly settings: CellSettings;
  /** Which layer is the sheet. */
  readonly layer: number;
  seeds: CellSeed[];
  readonly random: Random;
  sinceSown: number;
}

export const freshCells = (layer: number, settings: CellSettings, seed = 11): SheetCells => ({
  settings,
  layer,
  seeds: [],
  random: seededRandom(seed),
  sinceSown: Infinity,
});

/** Growth of a ripple of a thin heavy sheet on a deep layer, 1/s, and its spacing: fits of the exact two-layer model (`flow/cell`). */
const GROWTH = 0.147;
const SPACING = 6.2;
/** Spread of spacing and of strength from seed to seed, in ln. */
const SPACING_SPREAD = 0.6;
const STRENGTH_SPREAD = 0.5;
/** Fewest spreads below the usual spacing: closer seeds would fill every gap. */
const LEAST_SPREAD = -0.7;
/** A sheet this thin, m, has no seeds; one this thick is a puddle yet. */
const THINNEST = 8e-6;
const THICKEST = 1.5e-3;
/** One thinner than this, m, opens at places so much closer. */
const THIN = 6e-5;
const THIN_SPACING = 0.75;
/** First ripple as a share of the sheet, spread of its ln. */
const RIPPLE = 0.01;
const RIPPLE_SPREAD = 0.5;
/** New seeds are looked for this often, s, at so many places on a face of 200 x 200 mm. */
const SOW_EVERY_S = 0.1;
const SOW_PLACES = 4000;
/** No more seeds than this: a face that asks for more is drawn with what it has. */
const MOST_SEEDS = 8000;
/** A seed without sheet is given up after this, s. */
const FORGET_S = 2;

/**
 * Carries the seeds along, lets holes grow, opens new ones and sows where the sheet has grown.
 *
 * Law: a seed opens when its ripple, growing at 0.147 drho g h2 / sqrt(mu1 mu2), is as thick as the sheet, or when the sheet is thinner than
 * `ruptureM`; then its radius grows at opening * S / mu of the layer below. Source: two-layer Stokes stability for the ripple; the rest is an
 * assumption of the film model.
 *
 * @param seconds since it was called last: some steps of the film may be taken as one
 */
export function openCells(cells: SheetCells, fields: FilmFields, seconds: number): void {
  const { settings, layer } = cells;
  const { grid, thickness, viscosity, density, velocity } = fields;
  const { cellM, stride } = grid;
  const sheet = thickness[layer]!;
  const [across, down] = [velocity[0][layer]!, velocity[1][layer]!];
  const [wide, high] = [grid.columns * cellM, grid.rows * cellM];
  const column = (x: number) => clamp(x / cellM - 0.5 + MARGIN, 1, stride - 3);
  const row = (y: number) => clamp(y / cellM - 0.5 + MARGIN, 1, grid.rows + 2 * MARGIN - 3);
  const sheetAt = (x: number, y: number) => between(sheet, stride, column(x), row(y));

  for (const seed of cells.seeds) {
    const [atColumn, atRow] = [column(seed.x), row(seed.y)];
    const h = between(sheet, stride, atColumn, atRow);
    if (seed.isOpen) stretchWith(seed.stretch, Math.round(atRow) * stride + Math.round(atColumn));
    // Velocities lie on faces: half a cell to the left or above.
    seed.x += between(across, stride, atColumn + 0.5, atRow) * seconds;
    seed.y += between(down, stride, atColumn, atRow + 0.5) * seconds;
    seed.bare = h < 2e-6 ? seed.bare + seconds : 0;
    const below = layerBelow(seed.x, seed.y);
    if (below < 0) continue;
    const mu = viscosity[below]!;
    const heavier = density[layer]! - density[below]!;
    const growth = heavier > 0 ? (GROWTH * heavier * GRAVITY_MS2 * h) / Math.sqrt(mu * viscosity[layer]!) : 0;
    if (seed.isOpen) {
      const early = seed.radius < 0.4 * settings.spacingM ? growth * seed.radius : 0;
      const pull = (settings.opening * settings.spreadingNM) / mu;
      seed.radius = clamp(
        seed.radius + (pull + early) * seed.strength * seconds,
        0,
        settings.largestM * (0.6 + 0.4 * seed.strength),
      );
      roundOff(
        seed.stretch,
        Math.min(1, (0.5 * settings.spreadingNM * seconds) / (mu * Math.max(seed.radius, 5e-4))),
      );
    } else {
      seed.ripple *= Math.exp(growth * seconds);
      if (seed.ripple > h || h < settings.ruptureM * seed.strength) {
        seed.isOpen = true;
        seed.radius = 1e-4 + 0.2 * h;
      }
    }
  }
  dropLost();
  cells.sinceSown += seconds;
  if (cells.sinceSown >= SOW_EVERY_S) {
    cells.sinceSown = 0;
    sow();
  }

  /** Draws a hole out as the sheet in its cell is drawn out. */
  function stretchWith(stretch: CellSeed['stretch'], cell: number): void {
    const step = seconds / cellM;
    const below = cell + stride;
    const above = cell - stride;
    stretchBy(
      stretch,
      (across[cell + 1]! - across[cell]!) * step,
      (across[below]! + across[below + 1]! - across[above]! - across[above + 1]!) * 0.25 * step,
      (down[cell + 1]! + down[below + 1]! - down[cell - 1]! - down[below - 1]!) * 0.25 * step,
      (down[below]! - down[cell]!) * step,
    );
  }

  /** Seeds that left the face, or have had no sheet for long, are given up. */
  function dropLost(): void {
    const { seeds } = cells;
    let kept = 0;
    for (const seed of seeds) {
      const isOn = seed.x > 0 && seed.y > 0 && seed.x < wide && seed.y < high;
      if (isOn && seed.bare < FORGET_S) seeds[kept++] = seed;
    }
    seeds.length = kept;
  }

  function layerBelow(x: number, y: number): number {
    const [atColumn, atRow] = [column(x), row(y)];
    for (let under = layer - 1; under >= 0; under -= 1) {
      if (between(thickness[under]!, stride, atColumn, atRow) > 1e-4) return under;
    }
    return -1;
  }

  /** Sows where the sheet lies: nowhere else can anything be sown. */
  function sow(): void {
    const near = new SeedIndex(cells.seeds, Math.max(MOST_SEEDS, cells.seeds.length), settings.spacingM, [
      wide,
      high,
    ]);
    const box = fields.boxes[layer]!;
    const [left, top] = [(box.left - MARGIN) * cellM, (box.top - MARGIN) * cellM];
    const [across, down] = [(box.right + 1 - box.left) * cellM, (box.bottom + 1 - box.top) * cellM];
    if (!(across > 0 && down > 0)) return;
    const places = Math.round((SOW_PLACES * across * down) / 0.04);
    const closest = THIN_SPACING * settings.spacingM * Math.exp(SPACING_SPREAD * LEAST_SPREAD);
    for (let place = 0; place < places && cells.seeds.length < MOST_SEEDS; place += 1) {
      const [x, y] = [left + cells.random() * across, top + cells.random() * down];
      if (near.hasWithin(x, y, closest)) continue;
      const h = sheetAt(x, y);
      if (h < THINNEST || h > THICKEST) continue;
      const below = layerBelow(x, y);
      if (below < 1) continue;
      const forecast = SPACING * h * (viscosity[below]! / viscosity[layer]!) ** 0.23;
      const spacing =
        Math.max(forecast, settings.spacingM) * Math.exp(SPACING_SPREAD * Math.max(LEAST_SPREAD, bounded()));
      if (near.hasWithin(x, y, h < THIN ? THIN_SPACING * spacing : spacing)) continue;
      const seed: CellSeed = {
        x,
        y,
        radius: 0,
        isOpen: false,
        ripple: RIPPLE * h * Math.exp(RIPPLE_SPREAD * bounded()),
        stretch: [1, 0, 0, 1],
        strength: Math.exp(STRENGTH_SPREAD * bounded()),
        kind: cells.random(),
        bare: 0,
      };
      cells.seeds.push(seed);
      near.add(seed);
    }
  }

  function bounded(): number {
    return clamp(gaussian(cells.random), -2, 2);
  }
}

const clamp = (value: number, least: number, most: number): number => Math.min(most, Math.max(least, value));

/** F := (1 + grad u dt) F, unless that would draw it out beyond what a hole can be. */
function stretchBy(f: CellSeed['stretch'], a: number, b: number, c: number, d: number): void {
  const f0 = f[0];
  const f1 = f[1];
  const f2 = f[2];
  const f3 = f[3];
  const n0 = f0 + a * f0 + b * f2;
  const n1 = f1 + a * f1 + b * f3;
  const n2 = f2 + c * f0 + d * f2;
  const n3 = f3 + c * f1 + d * f3;
  const area = n0 * n3 - n1 * n2;
  if (!(area > 0.05 && area < 20)) return;
  f[0] = n0;
  f[1] = n1;
  f[2] = n2;
  f[3] = n3;
}

/** Line tension draws a hole back to a circle by a share. */
function roundOff(f: CellSeed['stretch'], share: number): void {
  const round = Math.sqrt(Math.abs(f[0] * f[3] - f[1] * f[2]));
  f[0] += share * (round - f[0]);
  f[3] += share * (round - f[3]);
  f[1] *= 1 - share;
  f[2] *= 1 - share;
}
