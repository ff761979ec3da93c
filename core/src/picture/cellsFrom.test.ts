import { cellsFrom, CUT_OFFS_MM } from './cellsFrom.ts';

it('cells from each size on that the photo can show', () => {
  const diameters = [0.6, 0.7, 0.9, 1.3, 2, 3];
  const found = cellsFrom(diameters, 0.8, (count) => count / 2);
  expect(found.map(({ mm }) => mm)).toEqual(CUT_OFFS_MM.filter((mm) => mm >= 0.8));
  expect(found[0]).toEqual({ mm: 0.8, count: 4, medianMm: 1.65, perCm2: 2 });
  expect(found.at(-1)).toMatchObject({ mm: 2.7, count: 1, medianMm: 3 });
  expect(cellsFrom([], 0.5, () => 0)[0]).toMatchObject({ count: 0 });
});
