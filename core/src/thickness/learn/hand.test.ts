import { gaussian, seededRandom } from '../../base/random/index.ts';
import { handOf, scatterTimes, type ReadingRecord } from './index.ts';

let count = 0;
const drained = (cupId: string, seconds: number, waterMg = 1000): ReadingRecord => ({
  ...{ id: `r${(count += 1)}`, cupId, raceId: null, at: '2026-03-01T10:00:00Z', struck: false },
  contents: [{ ingredientId: 'water', mg: waterMg }],
  measure: { kind: 'drain-cup', cup: 'iso-6', own: null, seconds, densityGPerMl: 1.1 },
});

it('worked out by hand: squares of 24 over 6 repeats beside 4 that were said are 1.67 times as unsure', () => {
  expect(scatterTimes(24, 6)).toBeCloseTo(Math.sqrt(28 / 10), 9);
  expect(scatterTimes(0, 20)).toBe(1);
  expect(scatterTimes(1e6, 5)).toBe(4);
});

it('single readings, and readings of other contents, teach nothing', () => {
  const readings = [drained('a', 20), drained('b', 60), drained('a', 90, 2000)];
  expect(handOf(readings)('drain-cup')).toBe(1);
});

describe('a hand twice as noisy as said, that reads every cup twice', () => {
  const random = seededRandom(5);
  // Seconds of a drain cup go nearly with the viscosity: their logarithms scatter as it does.
  const read = (cupId: string, times: number) =>
    drained(cupId, 40 * Math.exp(times * 0.08 * gaussian(random)));

  it.each([
    [2, 1.4, 2.2],
    [1, 1, 1.25],
  ])('%d times the spread is found after twelve cups', (times, least, most) => {
    const found = Array.from({ length: 60 }, () => {
      const readings = Array.from({ length: 12 }, (_, cup) => [
        read(`c${cup}`, times),
        read(`c${cup}`, times),
      ]);
      return handOf(readings.flat())('drain-cup');
    });
    const mean = found.reduce((sum, each) => sum + each, 0) / found.length;
    expect(mean).toBeGreaterThanOrEqual(least);
    expect(mean).toBeLessThan(most);
  });

  it('and taken as unsure as it is, goes too far no more than half as often', () => {
    // A step that is safe by what is said leaves so many spreads to the line.
    const [safe, cups] = [2.5, 20_000];
    const overshoots = (times: number) =>
      Array.from({ length: cups }, () => Number(2 * gaussian(random) > safe * times)).reduce(
        (a, b) => a + b,
      ) / cups;
    const found = handOf(
      Array.from({ length: 12 }, (_, cup) => [read(`c${cup}`, 2), read(`c${cup}`, 2)]).flat(),
    )('drain-cup');
    expect(overshoots(found)).toBeLessThan(0.5 * overshoots(1));
  });
});
