import { seededRandom } from '../base/random/index.ts';
import type { Cell } from './cells.ts';
import { certainCells, chancesOf } from './certain.ts';

const random = seededRandom(4);
const cell = (changes: Partial<Cell> = {}): Cell => ({
  ...{ xMm: 100 * random(), yMm: 100 * random(), diameterMm: 2.5, label: 2, around: 1, split: false },
  outlineMm: Array.from({ length: 20 }, () => 1.25),
  ...changes,
});
const many = (count: number, changes: Partial<Cell> = {}) =>
  Array.from({ length: count }, () => cell(changes));
/** A scrap of a band: large, of uneven outline, by itself. */
const scrap = () =>
  cell({
    diameterMm: 9,
    around: 3,
    outlineMm: Array.from({ length: 20 }, (_, at) => 4.5 + 1.5 * Math.sin(at / 2)),
  });

it('cells in the net of an activator are cells, and their size is told', () => {
  const found = certainCells(many(60), 1);
  expect(found.cells).toHaveLength(60);
  expect(found.isSized).toBe(true);
});

it('scraps of bands where no activator was laid are none', () => {
  const found = certainCells([...Array.from({ length: 8 }, scrap), ...many(3, { around: 3 })], -1);
  expect(found).toEqual({ cells: [], isSized: false });
});

it('round cells that stand close together are cells without an activator too', () => {
  const found = certainCells(many(300, { around: 3 }), -1);
  expect(found.cells.length).toBeGreaterThan(280);
  expect(found.isSized).toBe(true);
});

it('a few cells have no usual size', () => {
  const found = certainCells(many(9), 1);
  expect(found.cells).toHaveLength(9);
  expect(found.isSized).toBe(false);
});

it('rounder, smaller and beside more others is never less likely', () => {
  const lone = cell({ xMm: 500, yMm: 500, around: 3 });
  const of = (one: Cell, others: readonly Cell[] = []) => chancesOf([one, ...others], 1)[0]!;
  const uneven = { ...lone, outlineMm: lone.outlineMm.map((each, at) => each * (1 + 0.3 * Math.sin(at))) };
  expect(of(uneven)).toBeLessThan(of(lone));
  expect(of({ ...lone, diameterMm: 12 })).toBeLessThan(of(lone));
  expect(of(lone, [cell({ xMm: 503, yMm: 500 })])).toBeGreaterThan(of(lone));
});
