import { gaussian, seededRandom } from '../base/random/index.ts';
import type { Cell } from './cells.ts';
import type { Measured } from './measure.ts';
import { wetDry } from './wetDry.ts';

const random = seededRandom(8);
const cell = (xMm: number, yMm: number, diameterMm: number): Cell => ({
  xMm,
  yMm,
  diameterMm,
  label: 2,
  around: 1,
  outlineMm: [],
  split: false,
});
const wetCells = Array.from({ length: 400 }, (_, index) =>
  cell(
    4 + 9 * (index % 20) + 2 * random(),
    4 + 9 * Math.floor(index / 20) + 2 * random(),
    1.7 + 2 * random(),
  ),
);

/** Only what wet and dry look at. */
const measured = (list: readonly Cell[], hexes: readonly string[], cardLevel: number | null = 0.2) =>
  ({
    cells: { list },
    palette: hexes.map((hex, index) => ({ name: String(index), hex })),
    base: '0',
    cardLevel,
    picture: { width: 1050, height: 1050, pxPerMm: 5, labels: new Uint8Array(1050 * 1050) },
  }) as unknown as Measured;

const COLORS = ['#202020', '#e0e0e0', '#2060a0'];
const wet = measured(wetCells, COLORS);

it('finds a drift of 0.04 mm, corners a millimeter off and every cell measured with an error of 0.05 mm', () => {
  const dry = wetCells.map(({ xMm, yMm, diameterMm }) =>
    cell(1.004 * xMm + 0.002 * yMm + 0.9, 0.997 * yMm - 1.1, diameterMm + 0.04 + 0.05 * gaussian(random)),
  );
  const found = wetDry(wet, measured(dry, COLORS));
  expect(found.matched).toBe(400);
  expect(Math.abs(found.driftMm - 0.04)).toBeLessThan(0.01);
  // The standard error of a mean of 400: 0.05 / sqrt(400).
  expect(found.driftErrorMm).toBeCloseTo(0.0025, 3);
  expect(found.movedMm).toBeLessThan(0.02);
});

it('counts what opened and what closed', () => {
  const opened = Array.from({ length: 12 }, (_, index) => cell(195, 5 + 8 * index, 2));
  const found = wetDry(wet, measured([...wetCells.slice(30), ...opened], COLORS));
  expect([found.matched, found.opened, found.closed]).toEqual([370, 12, 30]);
});

it('a cell that one photo shows and did not count has neither opened nor closed', () => {
  const dry = measured(wetCells.slice(30), COLORS);
  const { xMm, yMm } = wetCells[0]!;
  dry.picture.labels[Math.round(5 * yMm) * 1050 + Math.round(5 * xMm)] = 2;
  expect(wetDry(wet, dry).closed).toBe(29);
});

it('a cell of another color or of twice the size is another cell', () => {
  const others = wetCells.map((each, index) =>
    index < 5 ? { ...each, label: 3 } : index < 9 ? { ...each, diameterMm: 2 * each.diameterMm } : each,
  );
  expect(wetDry(wet, measured(others, COLORS)).matched).toBe(391);
});

it('too few cells are not fitted, and none give zeros', () => {
  const few = wetDry(measured(wetCells.slice(0, 3), COLORS), measured(wetCells.slice(0, 3), COLORS));
  expect(few.matched).toBe(3);
  expect(wetDry(measured([], COLORS), measured([], COLORS))).toMatchObject({
    matched: 0,
    driftMm: 0,
    opened: 0,
  });
});

it('the gray card takes the exposure out: half the light, the same paint', () => {
  // Linear light halves: #e0e0e0 is 0.745, half of it shows as #a3a3a3.
  const darker = measured(wetCells, ['#151515', '#a3a3a3', '#154572'], 0.1);
  const { against, shifts } = wetDry(wet, darker);
  expect(against).toBe('card');
  expect(shifts.filter((shift) => shift.isSeen)).toEqual([]);
  expect(wetDry(wet, measured(wetCells, COLORS, 0.1)).shifts.every((shift) => shift.isSeen)).toBe(true);
});

it('one color that changed is told from the others, by the base where there is no card', () => {
  const { against, shifts } = wetDry(wet, measured(wetCells, ['#202020', '#e0e0e0', '#3060a0'], null));
  expect(against).toBe('base');
  expect(shifts.map((shift) => shift.isSeen)).toEqual([false, false, true]);
});
