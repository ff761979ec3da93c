import type { Corners } from '@icy-ribbon/core/picture';
import { project, rectangleTo } from '@icy-ribbon/core/picture';
import {
  cellAt,
  cellsOf,
  faceMap,
  straightenTransform,
  overlayTransform,
  outlinePath,
  sizeLimits,
  sizeStep,
  visiblePart,
} from './photoOverlay.ts';

const CORNERS: Corners = [
  [100, 50],
  [900, 80],
  [860, 700],
  [120, 660],
];
const ring = Array.from({ length: 8 }, () => 1.5);
const detail = {
  cells: [
    [10, 20, 3, 2, 1, ...ring],
    [40, 20, 1, 3, 1, ...ring],
    [41.5, 20, 5, 2, 1, ...ring],
  ],
  masks: { widthPx: 1, heightPx: 1, net: [1], mud: [1], glare: [1] },
};
const cells = cellsOf(detail);

it('rows of numbers become cells', () => {
  expect(cells[0]).toEqual({ xMm: 10, yMm: 20, diameterMm: 3, label: 2, around: 1, outlineMm: ring });
});

it('sizes fall into five steps of as many cells each', () => {
  const many = Array.from({ length: 100 }, (_, index) => ({ ...cells[0]!, diameterMm: 1 + index / 10 }));
  const limits = sizeLimits(many);
  const counts = [0, 0, 0, 0, 0];
  for (const cell of many) counts[sizeStep(limits, cell.diameterMm)]! += 1;
  expect(Math.max(...counts) - Math.min(...counts)).toBeLessThanOrEqual(2);
  expect(sizeLimits([])).toEqual([0, 0, 0, 0]);
});

it('a cell is found under the pointer, the nearest of two that overlap', () => {
  expect(cellAt(cells, 10.4, 20.3)).toBe(cells[0]);
  expect(cellAt(cells, 40.1, 20)).toBe(cells[1]);
  expect(cellAt(cells, 43, 21)).toBe(cells[2]);
  expect(cellAt(cells, 70, 70)).toBeUndefined();
});

it('an outline is drawn where the photo shows it', () => {
  const map = faceMap(CORNERS, 80, 60);
  const path = outlinePath([cells[0]!], map);
  expect(path).toMatch(/^M[\d.]+ [\d.]+(L[\d.]+ [\d.]+){7}Z$/);
  const [x, y] = path.slice(1).split('L')[0]!.split(' ').map(Number) as [number, number];
  const [u, v] = project(map, 11.5, 20);
  expect([x, y]).toEqual([Number(u.toFixed(1)), Number(v.toFixed(1))]);
  expect(outlinePath([], map)).toBe('');
});

/** Applies a CSS matrix3d, whose numbers run down its columns, to a point of the plane. */
function applied(transform: string, x: number, y: number): [number, number] {
  const m = transform.slice('matrix3d('.length, -1).split(',').map(Number);
  const [u, v, , w] = [0, 1, 2, 3].map((row) => m[row]! * x + m[4 + row]! * y + m[12 + row]!) as number[];
  return [u! / w!, v! / w!];
}

it('a picture of the face is laid over the photo corner by corner, at any scale', () => {
  const over = overlayTransform(CORNERS, 400, 300, 0.5);
  const rectangle = [
    [0, 0],
    [400, 0],
    [400, 300],
    [0, 300],
  ] as const;
  rectangle.forEach(([x, y], index) => {
    const [u, v] = applied(over, x, y);
    expect(u).toBeCloseTo(CORNERS[index]![0] / 2, 4);
    expect(v).toBeCloseTo(CORNERS[index]![1] / 2, 4);
  });
});

it('laying back undoes laying over', () => {
  const back = straightenTransform(CORNERS, 400, 300);
  const [x, y] = project(rectangleTo(CORNERS, 400, 300), 123, 45);
  const [u, v] = applied(back, x, y);
  expect(u).toBeCloseTo(123, 3);
  expect(v).toBeCloseTo(45, 3);
});

describe('the part of a photo that is shown', () => {
  const photo = { widthPx: 1000, heightPx: 800 };

  it('is all of it without corners', () => {
    expect(visiblePart(photo, null)).toEqual({ x: 0, y: 0, width: 1000, height: 800 });
  });

  it('is the support and a little table, never more than the photo', () => {
    const corners: Corners = [
      [100, 100],
      [500, 100],
      [500, 790],
      [100, 790],
    ];
    expect(visiblePart(photo, corners)).toEqual({ x: 80, y: 80, width: 440, height: 720 });
  });
});
