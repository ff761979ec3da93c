import fc from 'fast-check';
import { gaussian, seededRandom } from '../../base/random/index.ts';
import { ridge, studentT } from '../../base/statistics/index.ts';
import { findQuantity, LEAST_POURS, madeTheDifference, nextTest, trendOf } from './index.ts';

const effect = findQuantity('cellMm')!;

/** Pours whose cell size follows the activator's ratio and nothing else. */
function pours(count: number, seed: number, noise: number) {
  const random = seededRandom(seed);
  return Array.from({ length: count }, () => {
    const ratio = Math.exp(0.5 * gaussian(random));
    const distance = 120 * Math.exp(0.3 * gaussian(random));
    return {
      activatorRatio: ratio,
      distanceMm: distance,
      waitSeconds: 60 + 60 * random(),
      cellMm: 3 * ratio ** -0.5 * Math.exp(noise * gaussian(random)),
    };
  });
}

describe('what made the difference', () => {
  it('finds the one cause that mattered, with its sign', () => {
    const answer = madeTheDifference(pours(24, 3, 0.08), effect);
    if (answer.kind !== 'found') throw new Error(answer.why);
    expect(answer.influences[0]).toMatchObject({ isSure: true, cause: { key: 'activatorRatio' } });
    expect(answer.influences[0]!.strength).toBeLessThan(0);
    expect(answer.n).toBe(24);
    expect(answer.predictedShare).toBeGreaterThan(0.7);
  });

  it('is silent below what the data carry', () => {
    expect(madeTheDifference(pours(LEAST_POURS - 1, 3, 0.1), effect)).toMatchObject({ kind: 'silent' });
    const same = pours(20, 3, 0.1).map((pour) => ({ ...pour, cellMm: 2 }));
    expect(madeTheDifference(same, effect)).toMatchObject({ kind: 'silent' });
  });

  it('is silent about noise nineteen times in twenty', () => {
    const random = seededRandom(8);
    const answers = Array.from({ length: 60 }, (_, seed) =>
      madeTheDifference(
        pours(20, seed, 0).map((pour) => ({ ...pour, cellMm: Math.exp(gaussian(random)) })),
        effect,
      ),
    );
    const sure = answers.filter(
      (each) => each.kind === 'found' && each.influences.some(({ isSure }) => isSure),
    );
    expect(sure.length).toBeLessThanOrEqual(9);
  });

  it('the next test changes one cause that a hand can change', () => {
    const all = pours(24, 3, 0.1);
    const answer = madeTheDifference(all, effect);
    if (answer.kind !== 'found') throw new Error(answer.why);
    const test = nextTest(answer.fit, all[0]!)!;
    expect(['activatorRatio', 'distanceMm', 'waitSeconds']).toContain(test.cause.key);
    expect(test.to).not.toBeCloseTo(test.from, 3);
    expect(test.bits).toBeGreaterThan(0);
  });
});

describe('a line through points', () => {
  it('goes through points that lie on one, and says nothing of too few', () => {
    const on = Array.from({ length: 8 }, (_, x) => ({ x, y: 2 * x + 1 }));
    expect(trendOf(on)).toMatchObject({
      isSure: true,
      slope: expect.closeTo(2, 9),
      intercept: expect.closeTo(1, 9),
    });
    expect(trendOf(on.slice(0, 5))).toBeUndefined();
    expect(trendOf(on.map(({ y }) => ({ x: 3, y })))).toBeUndefined();
  });

  it('its band holds the line in the middle', () => {
    fc.assert(
      fc.property(
        fc.array(
          fc.tuple(fc.double({ min: 0, max: 9, noNaN: true }), fc.double({ min: 0, max: 9, noNaN: true })),
          { minLength: 8, maxLength: 20 },
        ),
        (pairs) => {
          const trend = trendOf(pairs.map(([x, y]) => ({ x, y })));
          if (!trend) return;
          const at = trend.at(4);
          expect(at.low).toBeLessThanOrEqual(at.y + 1e-9);
          expect(at.high).toBeGreaterThanOrEqual(at.y - 1e-9);
        },
      ),
    );
  });
});

describe('statistics', () => {
  /** Quantiles of Student's t from a printed table (from memory). */
  it.each([
    [0.95, 5, 2.015],
    [0.95, 10, 1.812],
    [0.975, 10, 2.228],
    [0.95, 30, 1.697],
  ])('the %d quantile of t with %d degrees of freedom is %d', (p, freedom, t) => {
    expect(Math.abs(studentT(p, freedom) / t - 1)).toBeLessThan(0.0005);
  });

  it('ridge with hardly any noise comes to the coefficients themselves', () => {
    const random = seededRandom(2);
    const x = Array.from({ length: 60 }, () => [gaussian(random), gaussian(random)]);
    const y = x.map(([a = 0, b = 0]) => 0.8 * a - 0.3 * b + 0.001 * gaussian(random));
    const fit = ridge(x, y);
    expect(fit.coefficients[0]).toBeCloseTo(0.8, 2);
    expect(fit.coefficients[1]).toBeCloseTo(-0.3, 2);
    expect(fit.predictedShare).toBeGreaterThan(0.99);
  });

  it('ridge shrinks what is only noise', () => {
    const random = seededRandom(4);
    const x = Array.from({ length: 25 }, () => [gaussian(random), gaussian(random), gaussian(random)]);
    const fit = ridge(
      x,
      x.map(() => gaussian(random)),
    );
    expect(Math.max(...fit.coefficients.map(Math.abs))).toBeLessThan(0.5);
  });
});
