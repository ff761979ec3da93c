import { RIPPLED_FRICTION } from '../../flow/air/index.ts';
import { restingMm } from '../../flow/film/index.ts';
import { linearRgb } from '../../paint/color/index.ts';
import type { Opacity } from '../../paint/material/index.ts';
import type { FilmCast } from '../../flow/look/index.ts';
import {
  filmGrid,
  freshCells,
  freshSides,
  layDome,
  layFilm,
  layShape,
  liveFilm,
  USUAL_CELLS,
  type CellSettings,
  type FilmGrid,
  type LiveFilm,
  type MakeKernel,
} from '../../flow/solver/index.ts';
import type { Place } from '../plan/index.ts';
import type { Scene, SceneLay } from './scene.ts';
import { USUAL_STRENGTH } from './stroke.ts';

/** Unknowns of the film model that an artist's own pours narrow down; assumptions until then. */
export interface FilmUnknowns {
  /** Strength of the breath, times the tool's usual one. */
  readonly strength: number;
  /** Shear at which the paint runs twice as fast, Pa. */
  readonly tauHalfPa: number;
  /** Share of the air's momentum that rubs on the paint: rippled paint takes more than a smooth wall's 0.01. */
  readonly friction: number;
  readonly cells: CellSettings;
}

export const USUAL_UNKNOWNS: FilmUnknowns = {
  strength: USUAL_STRENGTH.breath,
  tauHalfPa: 3,
  friction: RIPPLED_FRICTION,
  cells: USUAL_CELLS,
};

/** The grid of a support: so many cells along its longer side. */
export function sceneGrid({ support }: Pick<Scene, 'support'>, cells: number): FilmGrid {
  const longest = Math.max(support.widthMm, support.heightMm);
  const cellM = longest / cells / 1000;
  const [columns, rows] = [support.widthMm, support.heightMm].map((mm) =>
    Math.max(8, Math.round(mm / 1000 / cellM)),
  ) as [number, number];
  if (support.shape !== 'round') return filmGrid({ columns, rows, cellM, edge: 'open' });
  const radius = columns / 2;
  return filmGrid({
    ...{ columns, rows, cellM, edge: 'open' },
    isInside: (column, row) => Math.hypot(column + 0.5 - radius, row + 0.5 - radius) <= radius,
  });
}

/** Paint at the edge of a primed face that is not wetted (assumptions: surface tension as in `cells`, a third of a right angle). */
const BARE_PAINT = { surfaceTensionNM: 0.03, contactDeg: 30 } as const;

/** A film with nothing on it yet. */
export function emptyStage(
  scene: Scene,
  cells: number,
  makeKernel: MakeKernel,
  unknowns: FilmUnknowns = USUAL_UNKNOWNS,
  otherCells: readonly CellSettings[] = [],
): LiveFilm {
  const kernel = makeKernel(sceneGrid(scene, cells), scene.layers, {
    tauHalfPa: unknowns.tauHalfPa,
    isCrisp: true,
    pinM: restingMm({ ...BARE_PAINT, densityKgM3: scene.layers[0]?.densityKgM3 ?? 1100 }) / 1000,
  });
  const sides = freshSides(kernel.fields, scene.support.sideDepthMm / 1000);
  if (scene.sheet < 0) return liveFilm(kernel, null, sides);
  const { dose, sheet } = scene;
  const cellsOf = (settings: CellSettings) =>
    freshCells(sheet, {
      ...settings,
      ruptureM: settings.ruptureM * dose,
      opening: settings.opening * dose,
    });
  return liveFilm(kernel, cellsOf(unknowns.cells), sides, otherCells.map(cellsOf));
}

/** Lays one of the scene's volumes. What misses the support counts as lost. */
export function lay(film: LiveFilm, { layer, volumeMl, shape }: SceneLay): void {
  const { grid, thickness, lost } = film.kernel.fields;
  const field = thickness[layer]!;
  const volumeM3 = volumeMl * 1e-6;
  const wide = grid.columns * grid.cellM * 1000;
  const high = grid.rows * grid.cellM * 1000;
  switch (shape.kind) {
    case 'face': {
      const cells = grid.rim.inside.reduce((sum, each) => sum + each, 0);
      layFilm(grid, field, (1000 * volumeM3) / (cells * grid.cellM ** 2));
      return;
    }
    case 'outline':
      lost[layer]! += layShape(grid, field, volumeM3, (x, y) => (isWithin(shape.places, x, y) ? 1 : 0), {
        ...{ left: 0, right: wide - 1e-6, top: 0, bottom: high - 1e-6 },
      });
      return;
    case 'puddle':
      lost[layer]! += layDome(grid, field, {
        ...{ xMm: shape.at.x, yMm: shape.at.y, radiusMm: shape.radiusMm, volumeMl },
      });
      return;
    case 'band': {
      const { places, halfWidthMm, shiftMm } = shape;
      const reach = halfWidthMm + Math.abs(shiftMm) + 1;
      const [xs, ys] = [places.map(({ x }) => x), places.map(({ y }) => y)];
      lost[layer]! += layShape(
        grid,
        field,
        volumeM3,
        (x, y) => (Math.abs(asideOf(places, x, y) - shiftMm) <= halfWidthMm ? 1 : 0),
        {
          left: Math.min(...xs) - reach,
          right: Math.max(...xs) + reach,
          top: Math.min(...ys) - reach,
          bottom: Math.max(...ys) + reach,
        },
      );
      return;
    }
  }
}

/** How far to the right of a line a place lies, mm; beyond its ends it is nowhere near. */
function asideOf(places: readonly Place[], x: number, y: number): number {
  let [best, aside] = [Infinity, Infinity];
  for (let index = 1; index < places.length; index += 1) {
    const [a, b] = [places[index - 1]!, places[index]!];
    const [dx, dy] = [b.x - a.x, b.y - a.y];
    const long = Math.hypot(dx, dy) || 1e-9;
    const along = ((x - a.x) * dx + (y - a.y) * dy) / long;
    const onto = Math.min(long, Math.max(0, along));
    const far = Math.hypot(x - a.x - (onto * dx) / long, y - a.y - (onto * dy) / long);
    const isEnd = (index === 1 && along < 0) || (index === places.length - 1 && along > long);
    if (far >= best) continue;
    best = far;
    aside = isEnd ? Infinity : ((x - a.x) * -dy + (y - a.y) * dx) / long;
  }
  return aside;
}

/** Whether a place lies within an outline (crossing number). */
function isWithin(outline: readonly Place[], x: number, y: number): boolean {
  let isIn = false;
  outline.forEach((a, index) => {
    const b = outline[(index + 1) % outline.length]!;
    if (a.y > y !== b.y > y && x < ((b.x - a.x) * (y - a.y)) / (b.y - a.y) + a.x) isIn = !isIn;
  });
  return isIn;
}

/** Thickness that lets 37 % of the light through, m, by how well a paint covers (an assumption of the picture). */
const DEPTH_M: Readonly<Record<Opacity, number>> = {
  opaque: 1.5e-5,
  'semi-opaque': 2.5e-5,
  'semi-transparent': 6e-5,
  transparent: 1.2e-4,
};

/** How the scene's paints look. */
export function castOf(scene: Scene, { cells }: Pick<FilmUnknowns, 'cells'> = USUAL_UNKNOWNS): FilmCast {
  return {
    ...{ sheet: scene.sheet, netM: cells.netM },
    layers: scene.layers.map(({ colorHex, opacity, role }) => ({
      isVeined: role === 'color' || role === 'swipe',
      rgb: linearRgb(colorHex),
      depthM: DEPTH_M[opacity],
    })),
    support: BARE,
  };
}

/** A primed support. */
const BARE = [0.8, 0.78, 0.74] as const;
