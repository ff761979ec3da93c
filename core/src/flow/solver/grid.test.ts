import { cellIndex, filmGrid, repeatRim } from './grid.ts';
import { layDome, layFilm } from './lay.ts';
import { measureLayer, seenShares, volumeM3 } from './measure.ts';

const square = filmGrid({ columns: 20, rows: 16, cellM: 2e-3, edge: 'open' });
const round = filmGrid({
  ...{ columns: 20, rows: 20, cellM: 2e-3, edge: 'open' },
  isInside: (column, row) => Math.hypot(column - 9.5, row - 9.5) <= 10,
});

it('every face at the rim lets paint out, none in', () => {
  const [across, down] = square.rim.faces;
  const ways = (way: Int8Array) => [way.filter((w) => w > 0).length, way.filter((w) => w < 0).length];
  expect(ways(across.way)).toEqual([16, 16]);
  expect(ways(down.way)).toEqual([20, 20]);
  const walled = filmGrid({ columns: 20, rows: 16, cellM: 2e-3, edge: 'wall' });
  expect(walled.rim.faces.every(({ way }) => way.every((w) => w === 0))).toBe(true);
});

it('the cells around a support repeat its rim, and far ones are empty', () => {
  const field = new Float64Array(round.length).fill(7);
  for (let row = 0; row < 20; row += 1) {
    for (let column = 0; column < 20; column += 1) {
      if (round.rim.inside[cellIndex(round, column, row)]) field[cellIndex(round, column, row)] = 3;
    }
  }
  repeatRim(round.rim, field);
  expect(field[cellIndex(round, 10, -1)]).toBe(3);
  expect(field[cellIndex(round, 0, 0)]).toBe(0);
});

it('refuses a face without cells', () => {
  expect(() => filmGrid({ columns: 0, rows: 4, cellM: 1e-3, edge: 'open' })).toThrow(
    expect.objectContaining({ field: 'cellMm' }),
  );
});

it('a puddle keeps its volume, and what misses the support is told', () => {
  const field = new Float64Array(square.length);
  const missed = layDome(square, field, { xMm: 0, yMm: 16, radiusMm: 10, volumeMl: 1 });
  expect(missed * 1e6).toBeCloseTo(0.5, 2);
  expect((volumeM3(square, field) + missed) * 1e6).toBeCloseTo(1, 10);
  const { maxMm, coveredMm2 } = measureLayer(square, field);
  // Huppert's dome is 4/3 of its mean in the middle, but for what a cell of 2 mm evens out.
  expect(maxMm / ((4 * 1000) / (3 * Math.PI * 100))).toBeCloseTo(1, 0.9);
  expect(coveredMm2).toBeGreaterThan(130);
});

it('what is seen adds up to the whole, and a film over another hides it', () => {
  const lower = new Float64Array(square.length);
  const upper = new Float64Array(square.length);
  layFilm(square, lower, 2);
  layDome(square, upper, { xMm: 20, yMm: 16, radiusMm: 9, volumeMl: 0.4 });
  const [base, color] = seenShares(square, [lower, upper]);
  expect(base! + color!).toBeCloseTo(1, 6);
  // Half a cell of 2 mm either way.
  expect(color).toBeGreaterThan((Math.PI * 8 ** 2) / (40 * 32));
  expect(color).toBeLessThan((Math.PI * 10.5 ** 2) / (40 * 32));
  layFilm(square, upper, 0.01);
  expect(seenShares(square, [lower, upper])[1]).toBeCloseTo(color!, 1);
});
