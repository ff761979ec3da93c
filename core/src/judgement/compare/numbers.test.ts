import { GOOD_BLOOM as good } from '../../../testing/index.ts';
import { differing, findQuantity, LEAST_POINTS, LEAST_POURS, trendOf } from './index.ts';

const near = (value: number) => expect.closeTo(value, 6) as number;

it('eight pours are asked at least, and six points for a line', () => {
  expect([LEAST_POURS, LEAST_POINTS]).toEqual([8, 6]);
});

describe('what counts as a difference', () => {
  const slower = (factor: number) => ({
    ...good,
    id: 'other',
    passes: good.passes.map((pass) => ({ ...pass, distanceMm: pass.distanceMm * factor })),
  });
  const labels = (factor: number) => differing([good, slower(factor)]).map(({ label }) => label);
  const label = findQuantity('distanceMm')!.label;

  it('is three percent and more', () => {
    expect(labels(1.029)).not.toContain(label);
    expect(labels(1.031)).toContain(label);
  });

  it('is a number that one has and the other has not', () => {
    const without = { ...good, id: 'other', temperatureC: null };
    const line = differing([good, without]).find(({ values }) => values?.includes(21));
    expect(line?.values).toEqual([21, null]);
  });

  it('is told in the order of the work, words where there is no number', () => {
    const other = { ...good, id: 'other', order: [...good.order].reverse() };
    expect(differing([good, other])).toEqual([
      {
        group: 'order',
        label: 'Laid in this order',
        words: ['white, rust, rain, moss, ink', 'ink, moss, rain, rust, white'],
      },
    ]);
  });
});

it('a line has its slope, its middle and a band that widens away from it', () => {
  const points = [
    [0, 1.2],
    [1, 2.9],
    [2, 5.1],
    [3, 6.8],
    [4, 9.1],
    [5, 10.9],
  ].map(([x = 0, y = 0]) => ({ x, y }));
  const trend = trendOf(points)!;
  expect(trend).toMatchObject({ n: 6, slope: near(1.965714), intercept: near(1.085714), isSure: true });
  // t(0.95, 4) = 2.131847 x the standard error of the slope, worked out by hand.
  const residuals = points.map(({ x, y }) => y - (1.9657142857 * x + 1.0857142857));
  const s = Math.sqrt(residuals.reduce((sum, each) => sum + each ** 2, 0) / 4);
  expect(trend.slopeHigh - trend.slope).toBeCloseTo((2.131847 * s) / Math.sqrt(17.5), 4);
  expect(trend.slope - trend.slopeLow).toBeCloseTo(trend.slopeHigh - trend.slope, 9);
  const widthAt = (x: number) => trend.at(x).high - trend.at(x).low;
  expect(widthAt(2.5)).toBeCloseTo(2 * 2.131847 * s * Math.sqrt(1 / 6), 4);
  expect(widthAt(5)).toBeGreaterThan(widthAt(2.5));
  expect(widthAt(0)).toBeCloseTo(widthAt(5), 9);
});
