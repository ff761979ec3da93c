import type { RehearsalNumbers } from '../../judgement/rehearsal/index.ts';
import { bestPass, bestTurn, gapsTo, scoreFlowers, scorePicture, scoreStop, scoreWithin } from './index.ts';

const numbers = (changes: Partial<RehearsalNumbers> = {}): RehearsalNumbers => ({
  ...{
    seconds: 10,
    airSeconds: 5,
    shares: { white: 0.3, rust: 0.2, base: 0.5 },
    negativeSpace: 0.5,
    bare: 0,
  },
  ...{
    middleMm: 2,
    drippedMl: 0,
    onSidesMl: 0,
    wetRim: 0,
    cells: { open: 500, medianMm: 1, warp: 0 },
    flowersMm2: [9000],
  },
  petals: { count: 5, reachMm: 60, symmetry: 0.8 } as RehearsalNumbers['petals'],
  ...changes,
});

describe('a picture to blow', () => {
  const laid = numbers({
    negativeSpace: 0.9,
    shares: { white: 0.1, base: 0.9 },
    petals: { count: 0, reachMm: 18, symmetry: 0 } as RehearsalNumbers['petals'],
  });
  const score = (now: RehearsalNumbers) => scorePicture(gapsTo(numbers(), now), gapsTo(numbers(), laid));

  it('itself is all points, what was only laid is none', () => {
    expect(score(numbers())).toBe(100);
    expect(score(laid)).toBe(0);
  });

  it('every gap costs, and more of it costs more', () => {
    expect(score(numbers({ negativeSpace: 0.6 }))).toBeLessThan(100);
    expect(score(numbers({ negativeSpace: 0.7 }))).toBeLessThan(score(numbers({ negativeSpace: 0.6 })));
    expect(score(numbers({ bare: 0.1 }))).toBeLessThan(100);
    expect(score(numbers({ shares: { white: 0.1, rust: 0.4, base: 0.5 } }))).toBeLessThan(100);
  });

  it('blown over the edge and away is as little as not blown', () => {
    const away = numbers({ negativeSpace: 0.1, shares: { white: 0.1, rust: 0.8, base: 0.1 }, bare: 0.3 });
    expect(score(away)).toBeLessThan(40);
  });
});

describe('several flowers', () => {
  const six = [900, 900, 900, 900, 900, 900];
  it('alike and as large as the picture are all points', () => {
    expect(scoreFlowers(six, six).score).toBe(100);
  });
  it('uneven ones, small ones and none are fewer', () => {
    expect(scoreFlowers(six, [300, 1500, 900, 900, 900, 900]).score).toBeLessThan(85);
    for (const share of [0, 0.5]) {
      const small = six.map((each) => share * each);
      expect(scoreFlowers(six, small).score).toBe(0);
    }
  });
});

describe('when to stop', () => {
  it('too late costs more than too early by as much', () => {
    expect(scoreStop(10, 10)).toBe(100);
    expect(scoreStop(5, 10)).toBeGreaterThan(scoreStop(20, 10));
    expect(scoreStop(0, 10)).toBe(0);
  });

  it('a turn ends while the flower is as wide as it gets', () => {
    const covered = [0.3, 0.5, 0.7, 0.76, 0.77, 0.75, 0.7, 0.5];
    const window = bestTurn(covered.map((each, at) => ({ seconds: 20 + at, covered: each })));
    expect(window).toEqual({ from: 3, to: 5 });
    expect(scoreWithin(4, window)).toBe(100);
    expect(scoreWithin(2, window)).toBeLessThan(100);
    expect(scoreWithin(9, window)).toBeLessThan(scoreWithin(6, window));
    expect(scoreWithin(0, window)).toBe(0);
  });

  it('air ends where the open space that was wanted is left and little has run off', () => {
    const after = (negativeSpace: number, lost = 0, bare = 0) => ({ negativeSpace, lost, bare });
    const passes = [after(0.9), after(0.7), after(0.5), after(0.4), after(0.3, 0.1)];
    expect(bestPass(passes, 0.45)).toBe(2);
    expect(bestPass([after(0.9), after(0.5), after(0.45, 0.2)], 0.45)).toBe(1);
    expect(bestPass([after(0.45), after(0.2)], 0.45)).toBe(1);
  });
});
