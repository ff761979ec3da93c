import { petalsOf, type Petals } from '../../picture/index.ts';
import {
  between,
  forEachCell,
  hungM3,
  MARGIN,
  seenByLayer,
  wetShare,
  type CellSeed,
  type LiveFilm,
} from '../../flow/solver/index.ts';
import type { Place } from '../../piece/plan/index.ts';
import type { Rehearsal, Scene } from '../../piece/rehearse/index.ts';

/** What a rehearsal has come to, while it runs. */
export interface RehearsalNumbers {
  readonly seconds: number;
  readonly airSeconds: number;
  /** Share of the face that each paint is seen on, by name; 0 to 1. */
  readonly shares: Readonly<Record<string, number>>;
  /** Share of the face that shows the base. */
  readonly negativeSpace: number;
  /** Share that shows the bare support. */
  readonly bare: number;
  /** Paint left in the middle of the flower, or of the face, mm. */
  readonly middleMm: number;
  /** Ran over the edges, ml: what hangs at the sides as well. */
  readonly drippedMl: number;
  /** Hangs at the sides, ml, and the share of the rim that paint has run over. */
  readonly onSidesMl: number;
  readonly wetRim: number;
  readonly cells: {
    readonly open: number;
    readonly medianMm: number;
    /** How much longer than wide they are drawn on average: 0 is round, 1 twice as long. */
    readonly warp: number;
  };
  /** What each flower covers with color, mm2, in the order in which the piles were laid. */
  readonly flowersMm2: readonly number[];
  readonly petals: Petals;
}

/** Paints that are design and not ground. */
const isColor = (role: Scene['layers'][number]['role']): boolean => role !== 'base' && role !== 'pillow';

/** Works the numbers out as they are now. */
export function rehearsalNumbers({ film, scene, airSeconds }: Rehearsal): RehearsalNumbers {
  const { grid, thickness, lost } = film.kernel.fields;
  const seen = seenByLayer(grid, thickness);
  const shares: Record<string, number> = {};
  let [negativeSpace, all] = [0, 0];
  const solid = new Uint8Array(grid.columns * grid.rows);
  const covered = new Uint8Array(grid.columns * grid.rows);
  const total = scene.layers.map(() => 0);
  let cells = 0;
  const piles = pilesOf(scene);
  const flowersMm2 = piles.map(() => 0);
  const areaMm2 = (1000 * grid.cellM) ** 2;
  forEachCell(grid, (cell, column, row) => {
    cells += 1;
    let [color, net] = [0, 0];
    scene.layers.forEach(({ role }, layer) => {
      const share = seen[layer]![cell]!;
      total[layer]! += share;
      if (isColor(role)) color += share;
      if (role === 'activator') net += share;
    });
    covered[row * grid.columns + column] = color > 0.5 ? 1 : 0;
    solid[row * grid.columns + column] = color - net > 0.5 ? 1 : 0;
    if (color > 0.5 && piles.length > 0) {
      const at = { x: 1000 * grid.cellM * (column + 0.5), y: 1000 * grid.cellM * (row + 0.5) };
      flowersMm2[nearest(piles, at)]! += areaMm2;
    }
  });
  scene.layers.forEach(({ name, role }, layer) => {
    const share = total[layer]! / cells;
    shares[name] = (shares[name] ?? 0) + share;
    all += share;
    if (!isColor(role)) negativeSpace += share;
  });
  return {
    seconds: film.clock.seconds,
    airSeconds,
    shares,
    negativeSpace,
    bare: Math.max(0, 1 - all),
    middleMm: depthAtMm(film, middleOf(scene)),
    drippedMl: lost.reduce((sum, each) => sum + each, 0) * 1e6,
    onSidesMl: film.sides ? hungM3(film.sides, grid) * 1e6 : 0,
    wetRim: film.sides ? wetShare(film.sides) : 0,
    cells: openCells(film),
    flowersMm2,
    petals: petalsOf({ solid, covered, width: grid.columns, height: grid.rows, pxPerMm: 1e-3 / grid.cellM }),
  };
}

/** The middle of the first puddle, or of the face. */
export function middleOf({ lays, support }: Scene): Place {
  const pile = lays.map(({ shape }) => shape).find((shape) => shape.kind === 'puddle');
  return pile?.kind === 'puddle' ? pile.at : { x: support.widthMm / 2, y: support.heightMm / 2 };
}

/** The middle of the pile next to a place; of the face where there are none. */
export function middleNear(scene: Scene, at: Place): Place {
  const piles = pilesOf(scene);
  return piles[nearest(piles, at)] ?? middleOf(scene);
}

/** Piles closer than this are one, mm. */
const ONE_PILE_MM = 2;

/** Where piles of color stand, each once. */
function pilesOf({ lays, layers }: Scene): Place[] {
  const piles: Place[] = [];
  for (const { shape, layer } of lays) {
    if (shape.kind !== 'puddle' || !isColor(layers[layer]!.role)) continue;
    const isKnown = piles.some(({ x, y }) => Math.hypot(x - shape.at.x, y - shape.at.y) < ONE_PILE_MM);
    if (!isKnown) piles.push(shape.at);
  }
  return piles;
}

function nearest(places: readonly Place[], { x, y }: Place): number {
  const far = places.map((place) => Math.hypot(place.x - x, place.y - y));
  return far.indexOf(Math.min(...far));
}

/** How deep the paint stands at a place, mm. */
export function depthAtMm({ kernel }: LiveFilm, { x, y }: Place): number {
  const { grid, thickness } = kernel.fields;
  const inside = (at: number, most: number) => Math.min(most, Math.max(MARGIN, at));
  const column = inside(x / 1000 / grid.cellM - 0.5 + MARGIN, grid.columns + MARGIN - 1);
  const row = inside(y / 1000 / grid.cellM - 0.5 + MARGIN, grid.rows + MARGIN - 1);
  return 1000 * thickness.reduce((sum, field) => sum + between(field, grid.stride, column, row), 0);
}

/** A hole is measured so much smaller than its share of the sheet leaves room for: round in a many-cornered field, with a net around it. */
const MEASURED = 0.69;

/** How many holes are open, and about how wide: what the net leaves of each seed's share of the sheet. */
function openCells(film: LiveFilm): RehearsalNumbers['cells'] {
  const { cells, kernel } = film;
  const open = cells?.seeds.filter(({ isOpen }) => isOpen) ?? [];
  if (!cells || open.length === 0) return { open: 0, medianMm: 0, warp: 0 };
  const { grid, thickness } = kernel.fields;
  const sheet = thickness[cells.layer]!;
  let covered = 0;
  forEachCell(grid, (cell) => {
    if (sheet[cell]! > 8e-6) covered += grid.cellM ** 2;
  });
  const share = covered / Math.max(open.length, cells.seeds.length);
  const wide = open
    .map(({ x, y, radius, kind }) => {
      const h = between(
        sheet,
        grid.stride,
        Math.max(1, x / grid.cellM - 0.5 + MARGIN),
        Math.max(1, y / grid.cellM - 0.5 + MARGIN),
      );
      const left = Math.min(0.9, Math.max(0, 1 - h / (cells.settings.netM * (0.7 + 0.6 * kind))));
      return Math.min(2 * Math.sqrt((left * share) / Math.PI), 1.8 * radius);
    })
    .filter((d) => d > 0)
    .sort((a, b) => a - b);
  return {
    open: wide.length,
    medianMm: 1000 * MEASURED * (wide[Math.floor(wide.length / 2)] ?? 0),
    warp: open.reduce((sum, { stretch }) => sum + drawnOut(stretch), 0) / open.length,
  };
}

/** A hole is never drawn out more than so many times its width. */
const MOST_DRAWN = 10;

/** How much longer than wide a stretched round is: the ratio of the stretch's principal values, less one. */
function drawnOut([a, b, c, d]: CellSeed['stretch']): number {
  const turned = Math.hypot(a + d, c - b);
  const sheared = Math.hypot(a - d, c + b);
  return Math.min(MOST_DRAWN, (turned + sheared) / Math.max(1e-9, Math.abs(turned - sheared))) - 1;
}
