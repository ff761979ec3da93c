import { inDisc, inEllipse, raster } from '../../testing/index.ts';
import { CELL_RULES, cellsOf, type Cell } from './cells.ts';
import { componentsOf } from './components.ts';
import { labelsWithoutEdges } from './labels.ts';
import { ellipseOf, shapesOf } from './shape.ts';

const [WIDTH, HEIGHT, PX_PER_MM] = [400, 300, 10];

/** The cells of a picture of labels 0 (base), 1 and 2, ten pixels to a millimeter. */
function cellsIn(labelAt: (x: number, y: number) => number, split = true): Cell[] {
  const first = raster(WIDTH, HEIGHT, labelAt);
  const labels = labelsWithoutEdges(first);
  const patches = componentsOf(first, WIDTH, HEIGHT);
  const shapes = shapesOf(patches, labels, WIDTH, HEIGHT, 3, new Uint8Array(WIDTH * HEIGHT));
  return cellsOf(patches, shapes, {
    width: WIDTH,
    height: HEIGHT,
    pxPerMm: PX_PER_MM,
    labelCount: 3,
    never: new Set([0]),
    rules: CELL_RULES,
    split,
  });
}

const oneOf = (cells: readonly Cell[]): Cell => {
  expect(cells).toHaveLength(1);
  return cells[0]!;
};

describe('one cell', () => {
  it.each([0.6, 1.5, 3, 8])('a disc of %d mm is a cell of that diameter, where it is', (diameter) => {
    const radius = (diameter / 2) * PX_PER_MM;
    const cell = oneOf(cellsIn((x, y) => (inDisc(x, y, 203.3, 148.1, radius) ? 2 : 1)));
    expect(cell.diameterMm / diameter).toBeCloseTo(1, 1);
    expect(Math.abs(cell.diameterMm - diameter)).toBeLessThan(0.04);
    expect([cell.xMm, cell.yMm].map((mm) => Number(mm.toFixed(1)))).toEqual([20.3, 14.8]);
    expect([cell.label, cell.around]).toEqual([2, 1]);
    expect(Math.max(...cell.outlineMm) - Math.min(...cell.outlineMm)).toBeLessThan(0.16);
  });

  it('an ellipse counts by its area: the disc of 3 by 2 mm has 2.45', () => {
    const cell = oneOf(cellsIn((x, y) => (inEllipse(x, y, [200, 150, 15, 10, 0.6]) ? 2 : 1)));
    expect(cell.diameterMm).toBeCloseTo(Math.sqrt(6), 1);
    expect(cell.split).toBe(false);
  });
});

describe('no cell', () => {
  it.each([
    ['a speck of 0.3 mm', (x: number, y: number) => (inDisc(x, y, 200, 150, 1.5) ? 2 : 1)],
    ['a pool of 18 mm', (x: number, y: number) => (inDisc(x, y, 200, 150, 90) ? 2 : 1)],
    ['base that shows through', (x: number, y: number) => (inDisc(x, y, 200, 150, 20) ? 0 : 1)],
    ['a band', (x: number, y: number) => (Math.abs(y - 150) < 12 && Math.abs(x - 200) < 120 ? 2 : 1)],
    ['what the rim of the face cuts', (x: number, y: number) => (inDisc(x, y, 2, 150, 20) ? 2 : 1)],
    [
      'a patch between two colors',
      (x: number, y: number) => (inDisc(x, y, 200, 150, 20) ? 2 : x < 200 ? 0 : 1),
    ],
    [
      'a crescent',
      (x: number, y: number) => (inDisc(x, y, 200, 150, 30) && !inDisc(x, y, 212, 150, 27) ? 2 : 1),
    ],
  ])('%s', (_, labelAt) => {
    expect(cellsIn(labelAt)).toEqual([]);
  });
});

describe('touching cells', () => {
  const discs =
    (...list: readonly (readonly [number, number, number])[]) =>
    (x: number, y: number) =>
      list.some(([cx, cy, radius]) => inDisc(x, y, cx, cy, radius)) ? 2 : 1;

  it.each([1.95, 1.8, 1.6])('two of one size, middles %d radii apart, are two', (apart) => {
    const radius = 20;
    const cells = cellsIn(discs([180, 150, radius], [180 + apart * radius, 150, radius]));
    expect(cells).toHaveLength(2);
    expect(cells.every((cell) => cell.split)).toBe(true);
    // Each keeps its half of the two: from their area, less half of what they share.
    const lens =
      2 * radius ** 2 * Math.acos(apart / 2) - ((apart * radius) / 2) * radius * Math.sqrt(4 - apart ** 2);
    const wanted = (2 * Math.sqrt((Math.PI * radius ** 2 - lens / 2) / Math.PI)) / PX_PER_MM;
    for (const cell of cells) expect(Math.abs(cell.diameterMm / wanted - 1)).toBeLessThan(0.03);
  });

  it('a chain of three of different sizes are three', () => {
    const cells = cellsIn(discs([120, 150, 22], [157, 150, 17], [190, 152, 19]));
    expect(cells.map((cell) => Math.round(cell.xMm)).sort((a, b) => a - b)).toEqual([12, 16, 19]);
  });

  it('a shallow waist is one cell', () => {
    expect(cellsIn(discs([190, 150, 20], [202, 150, 20]))).toHaveLength(1);
  });

  it('told apart only when asked', () => {
    const two = discs([180, 150, 20], [216, 150, 20]);
    expect(cellsIn(two, false).length).toBeLessThan(2);
  });

  it('a wavy band does not fall apart into cells', () => {
    const band = (x: number, y: number) =>
      x > 40 && x < 360 && Math.abs(y - 150) < 12 + 3 * Math.sin(x / 14) ? 2 : 1;
    expect(cellsIn(band)).toEqual([]);
  });
});

it('the axes of an ellipse follow from its moments', () => {
  const given = [60.2, 41.7, 30, 14, 0.5] as const;
  const mask = raster(120, 90, (x, y) => (inEllipse(x, y, given) ? 1 : 0));
  const sums = [0, 0, 0, 0, 0, 0];
  mask.forEach((value, pixel) => {
    if (!value) return;
    const x = pixel % 120;
    const y = Math.floor(pixel / 120);
    [1, x, y, x * x, x * y, y * y].forEach((term, index) => (sums[index]! += term));
  });
  const [count, sumX, sumY, sumXX, sumXY, sumYY] = sums as [number, number, number, number, number, number];
  const found = ellipseOf(count, sumX, sumY, sumXX, sumXY, sumYY);
  expect(found.x + 0.5).toBeCloseTo(60.2, 0);
  expect(found.major).toBeCloseTo(30, 0);
  expect(found.minor).toBeCloseTo(14, 0);
  expect(found.angle).toBeCloseTo(0.5, 1);
});
