import {
  CELL_RULES,
  componentsOf,
  cellsOf,
  lacingOf,
  labelsWithoutEdges,
  quantile,
  shapesOf,
  type Cell,
} from '@icy-ribbon/core/picture';
import { OFF_FACE, type Painting } from './paint.ts';
import { labelNames, type SceneTruth } from './scene.ts';

export interface TrueCell extends Cell {
  /** Whether it runs into another cell of its color. */
  readonly touches: boolean;
}

/**
 * What is truly in a painting: shares by counting its pixels, the cells of a bloom by the numbers the painter gave
 * them (touching ones are known apart), those of a Dutch pour by its patches, the net by the same definition of lacing as in measuring. What counts as
 * a cell is decided by the same rules, on outlines without blur or noise.
 */
export function truthOf(painting: Painting, leastMm: number): SceneTruth & { list: readonly TrueCell[] } {
  const { scene, widthPx: width, heightPx: height, pxPerMm } = painting;
  const names = labelNames(scene);
  const counts = new Float64Array(names.length);
  let face = 0;
  const withoutActivator = scene.activatorHex === scene.baseHex;
  const labels = painting.labels.map((label) =>
    label === OFF_FACE || (withoutActivator && label === 1) ? 0 : label,
  );
  for (const label of painting.labels) {
    if (label === OFF_FACE) continue;
    face += 1;
    counts[withoutActivator && label === 1 ? 0 : label]! += 1;
  }
  const exact = labelsWithoutEdges(labels);
  const patches =
    scene.style === 'bloom' ? patchesByNumber(painting, labels) : componentsOf(labels, width, height);
  const shapes = shapesOf(patches, exact, width, height, names.length, offFace(painting));
  const mud = names.length - 1;
  const rules = { ...CELL_RULES, leastMm };
  const context = { width, height, pxPerMm, labelCount: names.length, never: new Set([0, mud]), rules };
  if (scene.style === 'bloom') for (const cell of openCells(painting)) shapes.cut[cell] = 1;
  const cells = cellsOf(patches, shapes, { ...context, split: false });
  const diameters = cells.map((cell) => cell.diameterMm).sort((a, b) => a - b);
  const touching = touchingOf(painting);
  const numberAt = ({ xMm, yMm }: Cell) =>
    painting.cells[Math.round(yMm * pxPerMm) * width + Math.round(xMm * pxPerMm)] ?? 0;
  const lacing = lacingOf(exact, withoutActivator ? 0 : 1, width, height, pxPerMm);
  return {
    shares: Object.fromEntries(names.map((name, label) => [name, counts[label]! / face])),
    cells: {
      count: cells.length,
      medianMm: quantile(diameters, 0.5),
      p10Mm: quantile(diameters, 0.1),
      p90Mm: quantile(diameters, 0.9),
      perCm2: (100 * cells.length * pxPerMm ** 2) / face,
      touching: touching.size,
    },
    list: cells.map((cell) => ({ ...cell, touches: touching.has(numberAt(cell)) })),
    lacing: {
      areaShare: lacing.areaPx / face,
      widthMm: lacing.lengthPx > 0 ? lacing.areaPx / lacing.lengthPx / pxPerMm : 0,
    },
  };
}

/** Patch 0 is everything that is no cell; each cell is a patch of its own, whatever it touches. */
function patchesByNumber({ cells }: Painting, labels: Uint8Array) {
  let count = 0;
  for (const cell of cells) count = Math.max(count, cell);
  const label = new Uint8Array(count + 1);
  const area = new Int32Array(count + 1);
  for (let pixel = 0; pixel < cells.length; pixel += 1) {
    label[cells[pixel]!] = labels[pixel]!;
    area[cells[pixel]!]! += 1;
  }
  label[0] = 0;
  return { count: count + 1, of: cells, label, area };
}

/** Cells that run into paint of their own color, which makes them a bay of it and no cell. */
function openCells({ cells, labels, widthPx }: Painting): Set<number> {
  const contact = new Map<number, number>();
  for (let pixel = 0; pixel < cells.length - widthPx; pixel += 1) {
    for (const next of [pixel + 1, pixel + widthPx]) {
      if (labels[pixel] !== labels[next] || (cells[pixel] === 0) === (cells[next] === 0)) continue;
      const cell = cells[pixel]! || cells[next]!;
      contact.set(cell, (contact.get(cell) ?? 0) + 1);
    }
  }
  return new Set([...contact].filter(([, edges]) => edges > 3).map(([cell]) => cell));
}

function offFace({ labels }: Painting): Uint8Array {
  return labels.map((label) => (label === OFF_FACE ? 1 : 0));
}

/** The numbers of the cells that touch another of their color. */
function touchingOf({ cells, labels, widthPx }: Painting): Set<number> {
  const touching = new Set<number>();
  for (let pixel = 0; pixel < cells.length - widthPx; pixel += 1) {
    const own = cells[pixel]!;
    if (own === 0) continue;
    for (const next of [pixel + 1, pixel + widthPx]) {
      const other = cells[next]!;
      if (other > 0 && other !== own && labels[next] === labels[pixel]) touching.add(own).add(other);
    }
  }
  return touching;
}
