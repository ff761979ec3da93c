import { forecastErrorWords, ownCellsWords } from './forecast.ts';
import { measureWords } from './measure.ts';

const METRIC = measureWords({ mass: 'g', volume: 'ml', length: 'cm', temperature: 'C' });
const INCHES = measureWords({ mass: 'oz', volume: 'fl oz', length: 'in', temperature: 'F' });

it('a forecast of cells is a range that says where it is from, and no finer than it is', () => {
  const own = { mm: 3, low: 2.1437, high: 4.0912, n: 9, sameActivator: 4 };
  expect(ownCellsWords(own, METRIC)).toBe('Cells 2.1 to 4.1\u00a0mm, from 9 pours of yours');
  expect(ownCellsWords(own, INCHES)).toBe('Cells 0.084 to 0.16\u00a0in, from 9 pours of yours');
  expect(ownCellsWords({ ...own, n: 0 }, METRIC)).toBe(
    'Cells 2.1 to 4.1\u00a0mm, by the law alone: no pour like it was measured yet',
  );
});

it('how far off it was is said as factors, of the law alone too', () => {
  expect(forecastErrorWords({ n: 23, lawLn: Math.log(2.04), ownLn: Math.log(1.39), inRange: 0.9 })).toBe(
    'Over 23 measured pours, each left out in turn, the forecast was off by a factor of 1.4; the law alone by 2.0.',
  );
});
