import fc from 'fast-check';
import { gaussian, seededRandom } from '../../base/random/index.ts';
import {
  chiSquared,
  correlation,
  forwardSelection,
  studentT,
  withoutDrift,
} from '../../base/statistics/index.ts';
import { findCalculation, runCalculation } from '../../registry/index.ts';
import { ring } from '../../../testing/index.ts';
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
  it('finds the one cause that mattered, with its sign and in the unit of the effect', () => {
    const answer = madeTheDifference(pours(24, 3, 0.08), effect);
    if (answer.kind !== 'found') throw new Error(answer.why);
    expect(answer.n).toBe(24);
    const [first, ...others] = answer.influences;
    expect(others).toEqual([]);
    expect(first).toMatchObject({ cause: { key: 'activatorRatio' }, alike: [], step: 2 });
    // Twice the ratio makes 3 mm cells 3 (2^-0.5 - 1) mm larger.
    expect(first!.change).toBeCloseTo(3 * (2 ** -0.5 - 1), 0);
    expect(first!.low).toBeLessThan(first!.change);
    expect(first!.high).toBeGreaterThan(first!.change);
    expect(first!.high).toBeLessThan(0);
  });

  it('is silent below what the data carry', () => {
    expect(madeTheDifference(pours(LEAST_POURS - 1, 3, 0.1), effect)).toMatchObject({
      kind: 'silent',
      why: 'too-few',
    });
    const same = pours(20, 3, 0.1).map((pour) => ({ ...pour, cellMm: 2 }));
    expect(madeTheDifference(same, effect)).toMatchObject({ kind: 'silent', why: 'no-spread' });
    const bare = pours(20, 3, 0.1).map(({ cellMm }) => ({ cellMm }));
    expect(madeTheDifference(bare, effect)).toMatchObject({ kind: 'silent', why: 'nothing-varied' });
  });

  it('causes that always changed together are named together', () => {
    const random = seededRandom(6);
    const tied = pours(24, 3, 0.08).map((pour) => ({
      ...pour,
      activatorShare: pour.activatorRatio * 0.1 * Math.exp(0.1 * gaussian(random)),
    }));
    const answer = madeTheDifference(tied, effect);
    if (answer.kind !== 'found') throw new Error(answer.why);
    const named = answer.influences.flatMap(({ cause, alike }) => [cause, ...alike].map(({ key }) => key));
    expect(named.sort()).toEqual(['activatorRatio', 'activatorShare']);
    expect(answer.influences).toHaveLength(1);
  });

  it('a cause that is missing in more than a fifth, or took fewer than three values, is left out', () => {
    const all = pours(20, 3, 0.05).map((pour, index) => ({
      ...pour,
      activatorRatio: index % 4 === 0 ? null : pour.activatorRatio,
      distanceMm: index % 2 === 0 ? 100 : 150,
    }));
    expect(madeTheDifference(all, effect)).toMatchObject({ kind: 'silent' });
    const few = pours(20, 3, 0.05).map((pour, index) => ({
      ...pour,
      activatorRatio: index % 6 === 0 ? null : pour.activatorRatio,
    }));
    expect(madeTheDifference(few, effect)).toMatchObject({ kind: 'found' });
  });
});

/** How a studio changes over its pours whatever is done: steadily, by wandering, or at once. */
const DRIFTS = {
  none: () => 0,
  line: (_: number, at: number) => at,
  walk: (before: number, _: number, random: () => number) => before + gaussian(random),
  step: (_: number, at: number) => (at < 0 ? -1 : 1),
} as const;

/**
 * Simulated studios: eight causes, one of which may matter; a third of them and the effect drift together by a
 * correlation of 0.45 with time.
 */
function studio(count: number, strength: number, random: () => number, drift: keyof typeof DRIFTS = 'none') {
  let at = 0;
  const raw = Array.from({ length: count }, (_, index) => {
    at = DRIFTS[drift](at, index - count * 0.45, random);
    return at;
  });
  const mean = raw.reduce((sum, each) => sum + each, 0) / count;
  const sd = Math.sqrt(raw.reduce((sum, each) => sum + (each - mean) ** 2, 0) / count) || 1;
  const along = raw.map((each) => (each - mean) / sd);
  const share = drift === 'none' ? 0 : 0.45;
  const causes = Array.from({ length: 8 }, (_, cause) => {
    const own = cause % 3 === 0 ? share : 0;
    const values = along.map((each) => own * each + Math.sqrt(1 - own ** 2) * gaussian(random));
    return { name: `c${cause}`, values };
  });
  const effect = causes[2]!.values.map(
    (value, index) =>
      strength * value + share * along[index]! + Math.sqrt(1 - strength ** 2 - share ** 2) * gaussian(random),
  );
  return { effect, causes };
}

describe('how sure it may be', () => {
  const STUDIOS = ring(120, 400);

  it.each(
    (Object.keys(DRIFTS) as (keyof typeof DRIFTS)[]).flatMap((drift) =>
      [8, 15, 30, 60].map((count) => [drift, count] as const),
    ),
  )('drift "%s": names a cause where none is in about one of ten studios of %d pours', (drift, count) => {
    const random = seededRandom(count);
    let alarms = 0;
    for (let index = 0; index < STUDIOS; index += 1) {
      const { effect: noise, causes } = studio(count, 0, random, drift);
      if (withoutDrift(noise, causes).length > 0) alarms += 1;
    }
    expect(alarms / STUDIOS).toBeLessThanOrEqual(ring(0.18, 0.145));
  });

  it.each([
    [8, 0.08, 0.85],
    [12, 0.3, 0.88],
    [15, 0.45, 0.88],
    [30, 0.88, 0.9],
  ])(
    'with %d pours it finds a strong cause in at least %d of the studios, and its range holds it in %d of those',
    (count, power, held) => {
      const random = seededRandom(40 + count);
      let [hits, holds, wrong] = [0, 0, 0];
      for (let index = 0; index < STUDIOS; index += 1) {
        const { effect: moved, causes } = studio(count, 0.7, random);
        const found = withoutDrift(moved, causes);
        const hit = found.find(({ names }) => names[0] === 'c2');
        if (hit) hits += 1;
        if (hit && hit.low <= 0.7 && hit.high >= 0.7) holds += 1;
        if (found.some(({ names }) => !names.includes('c2'))) wrong += 1;
      }
      expect(hits / STUDIOS).toBeGreaterThanOrEqual(power);
      expect(holds / hits).toBeGreaterThan(held);
      expect(wrong / STUDIOS).toBeLessThan(0.17);
    },
  );

  it('says the same of the same pours, in whatever unit the effect is', () => {
    const { effect: moved, causes } = studio(20, 0.7, seededRandom(3));
    const once = forwardSelection(moved, causes);
    expect(forwardSelection(moved, causes)).toEqual(once);
    const scaledUp = forwardSelection(
      moved.map((value) => 100 * value + 7),
      causes,
    );
    expect(scaledUp.map(({ names }) => names)).toEqual(once.map(({ names }) => names));
    expect(scaledUp[0]!.slope).toBeCloseTo(100 * once[0]!.slope, 6);
  });

  it('the bench says so too', () => {
    const { effect: moved, causes } = studio(30, 0.9, seededRandom(9));
    const input = {
      effect: moved,
      causes: Object.fromEntries(causes.map(({ name, values }) => [name, values])),
    };
    const run = (given: unknown) => runCalculation(findCalculation('difference'), given);
    expect(run(input)).toMatchObject({ speaks: true, n: 30, found: [{ names: ['c2'] }] });
    const few = { effect: moved.slice(0, 7), causes: { c2: causes[2]!.values.slice(0, 7) } };
    expect(run(few)).toEqual({ speaks: false, n: 7, found: [] });
    expect(() => run({ ...input, causes: { c2: [1, 2] } })).toThrow(
      expect.objectContaining({ field: 'causes.c2' }),
    );
  });
});

describe('the next test', () => {
  const ask = (all: readonly Record<string, number>[], from = all[0]!) =>
    nextTest(all, effect, madeTheDifference(all, effect), from);

  it('is not about the cause that is settled, nor about one that was tried and did nothing', () => {
    const all = pours(60, 3, 0.05);
    // The ratio is found; distance and wait were varied much and moved nothing.
    expect(ask(all)).toBeUndefined();
  });

  it('goes first for what was never varied', () => {
    const all = pours(60, 3, 0.05).map((pour) => ({ ...pour, slantDeg: 25 }));
    expect(ask(all)).toMatchObject({ cause: { key: 'slantDeg' }, from: 25, to: 35, because: 'never-varied' });
    const steep = { ...all[0]!, slantDeg: 80 };
    expect(ask(all, steep)).toMatchObject({ to: 90 });
    expect(ask(all, { ...all[0]!, slantDeg: 90 })).toBeUndefined();
  });

  it('with few pours, for what is still open', () => {
    const test = ask(pours(10, 3, 0.5))!;
    expect(['activatorRatio', 'distanceMm', 'waitSeconds']).toContain(test.cause.key);
    expect(test).toMatchObject({ because: 'open' });
    expect(test.couldMatter).toBeGreaterThan(0.15);
  });

  it('what was not recorded of the pour cannot be changed, and too few pours ask for none', () => {
    expect(nextTest(pours(7, 3, 0.5), effect, madeTheDifference([], effect), {})).toBeUndefined();
    expect(ask(pours(10, 3, 0.5), {})).toBeUndefined();
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

  /** Quantiles of chi-squared from a printed table (from memory). */
  it.each([
    [0.99, 1, 6.635],
    [0.99, 3, 11.345],
    [0.95, 10, 18.307],
  ])('the %d quantile of chi-squared with %d degrees of freedom is %d', (p, freedom, value) => {
    expect(chiSquared(p, freedom)).toBeCloseTo(value, 2);
  });

  it('a correlation is that of the textbook, and 0 where one does not vary', () => {
    expect(correlation([1, 2, 3, 4], [1, 3, 2, 5])).toBeCloseTo(5.5 / Math.sqrt(5 * 8.75), 9);
    expect(correlation([1, 1, 1], [1, 2, 3])).toBe(0);
  });
});
