import { GOOD_BLOOM as good } from '../../../testing/index.ts';
import { gaussian, seededRandom } from '../../base/random/index.ts';
import { ridge } from '../../base/statistics/index.ts';
import { scaled } from './madeTheDifference.ts';
import {
  differing,
  findQuantity,
  LEAST_POINTS,
  LEAST_POURS,
  madeTheDifference,
  nextTest,
  trendOf,
  type DifferenceFit,
} from './index.ts';

const near = (value: number) => expect.closeTo(value, 6) as number;
const cellMm = findQuantity('cellMm')!;

describe('the smallest number of pours that is asked', () => {
  const pours = (count: number) => {
    const random = seededRandom(5);
    return Array.from({ length: count }, () => {
      const activatorRatio = Math.exp(0.6 * gaussian(random));
      return { activatorRatio, cellMm: 3 * activatorRatio ** -0.5 * Math.exp(0.02 * gaussian(random)) };
    });
  };

  it('is eight, and six points for a line', () => {
    expect([LEAST_POURS, LEAST_POINTS]).toEqual([8, 6]);
    expect(madeTheDifference(pours(7), cellMm)).toMatchObject({ kind: 'silent', n: 7 });
    expect(madeTheDifference(pours(8), cellMm)).toMatchObject({ kind: 'found', n: 8 });
  });

  it('the interval lies around the strength, as wide on both sides', () => {
    const answer = madeTheDifference(pours(24), cellMm);
    if (answer.kind !== 'found') throw new Error(answer.why);
    for (const { strength, low, high, isSure } of answer.influences) {
      expect(high - strength).toBeCloseTo(strength - low, 9);
      expect(high).toBeGreaterThan(low);
      expect(isSure).toBe(low > 0 || high < 0);
    }
  });

  it('what is sure comes before what is only strong', () => {
    const random = seededRandom(12);
    const all = Array.from({ length: 30 }, () => {
      const [a, b] = [gaussian(random), gaussian(random)];
      return {
        activatorRatio: Math.exp(0.5 * a),
        distanceMm: 120 * Math.exp(0.3 * b),
        waitSeconds: 60 * Math.exp(0.4 * gaussian(random)),
        cellMm: 3 * Math.exp(-0.5 * a + 0.1 * b + 0.2 * gaussian(random)),
      };
    });
    const answer = madeTheDifference(all, cellMm);
    if (answer.kind !== 'found') throw new Error(answer.why);
    const sure = answer.influences.map(({ isSure }) => isSure);
    expect(sure).toEqual([...sure].sort((x, y) => Number(y) - Number(x)));
    const strengths = answer.influences
      .filter(({ isSure }) => isSure)
      .map(({ strength }) => Math.abs(strength));
    expect(strengths).toEqual([...strengths].sort((x, y) => y - x));
  });

  it('a cause that is missing in more than a fifth, or took fewer than three values, is left out', () => {
    const all = pours(20).map((pour, index) => ({
      ...pour,
      waitSeconds: index % 4 === 0 ? null : 60 + index,
      distanceMm: index % 2 === 0 ? 100 : 150,
      slantDeg: index % 6 === 0 ? null : 20 + index,
    }));
    const answer = madeTheDifference(all, cellMm);
    if (answer.kind !== 'found') throw new Error(answer.why);
    const keys = answer.influences.map(({ cause }) => cause.key);
    expect(keys).toContain('activatorRatio');
    expect(keys).toContain('slantDeg');
    expect(keys).not.toContain('waitSeconds');
    expect(keys).not.toContain('distanceMm');
  });

  it('of eight pours two causes are looked at, of nine three', () => {
    const random = seededRandom(3);
    const many = (count: number) =>
      pours(count).map((pour) => ({
        ...pour,
        waitSeconds: 60 * Math.exp(gaussian(random)),
        distanceMm: 100 * Math.exp(gaussian(random)),
        slantDeg: 45 * Math.exp(0.2 * gaussian(random)),
      }));
    const looked = (count: number) => {
      const answer = madeTheDifference(many(count), cellMm);
      if (answer.kind !== 'found') throw new Error(answer.why);
      return answer.influences.length;
    };
    expect(looked(8)).toBe(2);
    expect(looked(9)).toBe(3);
  });

  it('a standardized cause has its middle at 0 and its spread at 1', () => {
    const all = pours(12);
    const answer = madeTheDifference(all, cellMm);
    if (answer.kind !== 'found') throw new Error(answer.why);
    const logs = all.map(({ activatorRatio }) => Math.log(activatorRatio));
    const middle = logs.reduce((sum, each) => sum + each, 0) / 12;
    const spread = Math.sqrt(logs.reduce((sum, each) => sum + (each - middle) ** 2, 0) / 11);
    expect(answer.fit.middles[0]).toBeCloseTo(middle, 9);
    expect(answer.fit.spreads[0]).toBeCloseTo(spread, 9);
    // The strength is that of the plain ridge on what was standardized by hand.
    const ys = all.map((pour) => Math.log(pour.cellMm));
    const yMiddle = ys.reduce((sum, each) => sum + each, 0) / 12;
    const ySpread = Math.sqrt(ys.reduce((sum, each) => sum + (each - yMiddle) ** 2, 0) / 11);
    const fit = ridge(
      logs.map((each) => [(each - middle) / spread]),
      ys.map((each) => (each - yMiddle) / ySpread),
    );
    expect(answer.influences[0]!.strength).toBeCloseTo(fit.coefficients[0]!, 9);
  });
});

describe('the next test', () => {
  const causes = ['activatorRatio', 'slantDeg', 'waitSeconds'].map((key) => findQuantity(key)!);
  const fitWith = (covariance: readonly (readonly number[])[]): DifferenceFit => ({
    causes,
    middles: [0, 45, 90],
    spreads: [0.5, 10, 40],
    ridge: { coefficients: [0, 0, 0], covariance, lambda: 1, predictedShare: 0.5, residualSd: 0.5, used: 3 },
  });
  const from = { activatorRatio: 1, slantDeg: 45, waitSeconds: 90 };
  const only = (at: number) =>
    [0, 1, 2].map((row) => [0, 1, 2].map((column) => (row === at && column === at ? 1 : 0)));

  it.each([
    [0, 'activatorRatio', 1.25, scaled(causes[0]!, 1.25) / 0.5],
    [2, 'waitSeconds', 180, 90 / 40],
  ])('changes cause %d, of which least is known: %s to %d', (at, key, to, off) => {
    const test = nextTest(fitWith(only(at)), from)!;
    expect(test.cause.key).toBe(key);
    expect(test.to).toBeCloseTo(to, 9);
    expect(test.bits).toBeCloseTo(Math.log2(1 + off ** 2 / 0.25) / 2, 9);
  });

  it('a slant is never steeper than straight down', () => {
    const steep = { ...from, slantDeg: 80 };
    const test = nextTest(fitWith(only(1)), steep)!;
    expect(test.cause.key).toBe('slantDeg');
    expect(test.to).toBeLessThanOrEqual(90);
    expect(nextTest(fitWith(only(1)), { ...from, slantDeg: 70 })!.to).toBe(90);
  });

  it.each([
    ['colorPaS', 1, 0.8, 1.25],
    ['activatorRatio', 1, 0.8, 1.25],
    ['groundRatio', 1, 0.8, 1.25],
    ['colorG', 10, 8, 12.5],
    ['groundG', 10, 8, 12.5],
    ['activatorShare', 0.1, 0.075, 0.135],
    ['distanceMm', 100, 70, 140],
    ['slantDeg', 30, 21, 42],
    ['airSeconds', 10, 7, 14],
    ['waitSeconds', 60, 30, 120],
  ])('%s from %d goes down to %d or up to %d, away from what was tried before', (key, now, down, up) => {
    const cause = findQuantity(key)!;
    const triedAt = (value: number): DifferenceFit => ({
      causes: [cause],
      middles: [scaled(cause, value)],
      spreads: [1],
      ridge: { coefficients: [0], covariance: [[1]], lambda: 1, predictedShare: 0.5, residualSd: 1, used: 1 },
    });
    expect(nextTest(triedAt(now * 1.6), { [key]: now })!.to).toBeCloseTo(down, 9);
    expect(nextTest(triedAt(now / 1.6), { [key]: now })!.to).toBeCloseTo(up, 9);
  });

  it('causes move together: what is known of one beside the others counts', () => {
    const tied = [
      [1, 0.9, 0],
      [0.9, 1, 0],
      [0, 0, 0],
    ];
    const off = { activatorRatio: 1, slantDeg: 55, waitSeconds: 90 };
    const test = nextTest(fitWith(tied), off)!;
    const x = [Math.log(1.25) / 0.5, 1];
    const up = x[0]! ** 2 + 2 * 0.9 * x[0]! * x[1]! + x[1]! ** 2;
    expect(test.bits).toBeGreaterThanOrEqual(Math.log2(1 + up / 0.25) / 2 - 1e-9);
  });

  it('what was not recorded of the pour cannot be changed', () => {
    expect(nextTest(fitWith(only(0)), { activatorRatio: null })).toBeUndefined();
  });
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
