import { seededRandom } from '@icy-ribbon/core/base/random';
import { standInScale } from './scale.ts';
import { EMPTY_SCALE, handPour, SCALE, stepScale, type ScaleState } from './simulate.ts';

const run = (state: ScaleState, seconds: number, seed = 1) => {
  const random = seededRandom(seed);
  let current = state;
  for (let t = 0; t < seconds; t += 0.1) current = stepScale(current, 0.1, random);
  return current;
};

it('settles on what was poured, to about its resolution', () => {
  const after = run({ ...EMPTY_SCALE, toPourMg: 15_000 }, 6);
  expect(after.loadMg).toBe(15_000);
  expect(Math.abs(after.shownMg - 15_000)).toBeLessThanOrEqual(2 * SCALE.resolutionMg);
  expect(after.steadyS).toBeGreaterThanOrEqual(SCALE.settleS);
});

it('moves while paint flows and lags behind it', () => {
  const during = run({ ...EMPTY_SCALE, toPourMg: 100_000 }, 1);
  expect(during.steadyS).toBe(0);
  expect(during.sensedMg).toBeLessThan(during.loadMg);
});

it('shows steps of its resolution only', () => {
  for (let seconds = 0.1; seconds < 2; seconds += 0.3) {
    const shown = run({ ...EMPTY_SCALE, toPourMg: 7_777 }, seconds).shownMg;
    expect(Math.abs(shown % SCALE.resolutionMg)).toBe(0);
  }
});

it('a hand pours close to its aim, over as often as under', () => {
  const random = seededRandom(5);
  const errors = Array.from({ length: 2000 }, () => handPour(20_000, random) - 20_000);
  const mean = errors.reduce((a, b) => a + b, 0) / errors.length;
  expect(Math.abs(mean)).toBeLessThan(10);
  expect(Math.max(...errors.map(Math.abs))).toBeLessThan(500);
});

describe('the stand-in behind the scale interface', () => {
  beforeEach(() => jest.useFakeTimers());
  afterEach(() => jest.useRealTimers());

  it('tells its readings while somebody listens, and zeroes', () => {
    const scale = standInScale(seededRandom(2));
    const seen: number[] = [];
    const stop = scale.subscribe((reading) => seen.push(reading.mg));
    scale.newCup();
    scale.pour(12_000);
    jest.advanceTimersByTime(5000);
    expect(Math.abs(scale.read().mg - 12_000)).toBeLessThan(300);
    expect(scale.read()).toMatchObject({ settled: true, pouring: false, overload: false });
    expect(scale.tare().mg).toBe(0);
    stop();
    jest.advanceTimersByTime(500);
    const count = seen.length;
    jest.advanceTimersByTime(2000);
    expect(seen.length).toBe(count);
  });

  it('can be bumped, and settles again on the same weight', () => {
    const scale = standInScale(seededRandom(4));
    scale.subscribe(() => undefined);
    scale.newCup();
    scale.pour(20_000);
    jest.advanceTimersByTime(6000);
    const before = scale.read().mg;
    scale.disturb('bump');
    jest.advanceTimersByTime(300);
    expect(scale.read().settled).toBe(false);
    jest.advanceTimersByTime(8000);
    expect(scale.read().settled).toBe(true);
    expect(Math.abs(scale.read().mg - before)).toBeLessThanOrEqual(200);
  });

  it('can drop out for some seconds, and comes back', () => {
    const scale = standInScale(seededRandom(6));
    let heard = 0;
    scale.subscribe(() => (heard += 1));
    scale.disturb('drop-out');
    jest.advanceTimersByTime(3000);
    expect(heard).toBe(0);
    jest.advanceTimersByTime(4000);
    expect(heard).toBeGreaterThan(5);
    expect(scale.disturb('overload').overload).toBe(true);
  });

  it('says when it is loaded beyond its capacity, and stops when told', () => {
    const scale = standInScale(seededRandom(3));
    scale.pour(SCALE.capacityMg * 1.1);
    jest.advanceTimersByTime(100_000);
    expect(scale.read().overload).toBe(true);
    scale.newCup();
    scale.pour(500_000);
    jest.advanceTimersByTime(1000);
    expect(scale.stop().pouring).toBe(false);
  });
});
