import fc from 'fast-check';
import { GOOD_BLOOM } from '../../../testing/index.ts';
import { NO_AIMS } from '../../paint/stage/index.ts';
import { creepingMm, rimHoldsMm } from '../../flow/film/index.ts';
import { readBlowTest, readTipTest, soFar, tipAngles, type SoFarInput } from './index.ts';

const base = { viscosityPaS: 0.6, densityGPerMl: 1.1 };

describe('the blow test (common practice, no published source)', () => {
  it('a base that moves easily while nothing runs over is right', () => {
    const { verdict, fromMm, toMm } = readBlowTest({ moves: true, runsOver: false }, base);
    expect(verdict).toBe('right');
    expect(fromMm).toBeLessThan(toMm!);
    expect(toMm).toBeCloseTo(rimHoldsMm(1100), 9);
  });

  it('one that still runs over is too much; one that neither moves nor runs over is too little, or too thick', () => {
    expect(readBlowTest({ moves: true, runsOver: true }, base).verdict).toBe('much');
    expect(readBlowTest({ moves: false, runsOver: false }, base).verdict).toBe('little');
    expect(readBlowTest({ moves: false, runsOver: false }, { ...base, viscosityPaS: 4 }).verdict).toBe(
      'thick',
    );
    expect(readBlowTest({ moves: false, runsOver: true }, base).verdict).toBe('thick');
  });

  it('the film it reads always has its lower end below its upper one', () => {
    fc.assert(
      fc.property(
        fc.boolean(),
        fc.boolean(),
        fc.double({ min: 0.05, max: 20, noNaN: true }),
        (moves, runsOver, paS) => {
          const { fromMm, toMm } = readBlowTest({ moves, runsOver }, { ...base, viscosityPaS: paS });
          expect(toMm === null || fromMm <= toMm).toBe(true);
        },
      ),
    );
  });
});

describe('the tip test', () => {
  const thick = { viscosityPaS: 3, densityGPerMl: 1.15 };

  it('a middle that moves when it is hardly tipped has paint to lose; one that stands steeply has none', () => {
    expect(readTipTest({ tiltDeg: 4, moves: true }, thick).verdict).toBe('spin');
    expect(readTipTest({ tiltDeg: 20, moves: false }, thick).verdict).toBe('enough');
    expect(readTipTest({ tiltDeg: 30, moves: true }, thick).verdict).toBe('ask-again');
    expect(readTipTest({ tiltDeg: 1, moves: false }, thick).verdict).toBe('ask-again');
  });

  it('a piece is tipped by its own law: 1.5 to 4.5 degrees at 3 Pa.s; there either answer decides', () => {
    const { fromDeg, toDeg } = tipAngles(thick);
    // sin a = 2 mu u / (rho g h^2) at 1 mm/s, by hand.
    expect(fromDeg).toBeCloseTo(1.5, 1);
    expect(toDeg).toBeCloseTo(4.5, 1);
    fc.assert(
      fc.property(
        fc.double({ min: 0.2, max: 30, noNaN: true }),
        fc.double({ min: 0.9, max: 2, noNaN: true }),
        fc.boolean(),
        (viscosityPaS, densityGPerMl, moves) => {
          const paint = { viscosityPaS, densityGPerMl };
          const tiltDeg = tipAngles(paint).usualDeg;
          expect(readTipTest({ tiltDeg, moves }, paint).verdict).toBe(moves ? 'spin' : 'enough');
        },
      ),
    );
  });

  it('a simulated artist who tips until the middle moves brackets the true film', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.5, max: 6, noNaN: true }),
        fc.double({ min: 0.8, max: 6, noNaN: true }),
        (mm, paS) => {
          const paint = { ...thick, viscosityPaS: paS };
          const moves = (tiltDeg: number) =>
            mm > creepingMm({ tiltDeg, viscosityPaS: paS, densityKgM3: 1000 * paint.densityGPerMl });
          for (const tiltDeg of [5, 10, 20, 40]) {
            const reading = readTipTest({ tiltDeg, moves: moves(tiltDeg) }, paint);
            expect(moves(tiltDeg) ? mm > reading.mm : mm <= reading.mm).toBe(true);
          }
        },
      ),
    );
  });
});

describe('stop or go on', () => {
  const pass = { ...GOOD_BLOOM.passes[0]!, from: null };
  const at = '2026-03-01T10:10:00Z';
  const input = (changes: Partial<SoFarInput> = {}): SoFarInput => ({
    pour: GOOD_BLOOM,
    log: [{ id: '1', kind: 'pass', data: pass, at }],
    nowMs: Date.parse(at) + 30_000,
    aims: NO_AIMS,
    opens: { fromSeconds: 40, toSeconds: 90 },
    middleMm: 3,
    successes: [],
    ...changes,
  });
  const mark = (code: string, changes: Partial<SoFarInput> = {}) =>
    soFar(input(changes)).find((each) => each.code === code);

  it('before the first air there is nothing to say', () => {
    expect(soFar(input({ pour: { ...GOOD_BLOOM, passes: [] }, log: [] }))).toEqual([]);
  });

  it('air: little is blown on, as much as is usual may stop, far too much stops', () => {
    const seconds = (value: number) => ({ pour: { ...GOOD_BLOOM, passes: [{ ...pass, seconds: value }] } });
    expect(mark('air', seconds(1))?.verdict).toBe('more');
    expect(mark('air', seconds(9))?.verdict).toBe('enough');
    expect(mark('air', seconds(60))?.verdict).toBe('too-much');
  });

  it('three successes say what is wanted; two do not yet', () => {
    // 15 s on the face of 6.25 dm².
    const good = { airSPerDm2: 15 / 6.25, waitSeconds: null, spinTurns: null };
    const little = { pour: { ...GOOD_BLOOM, passes: [{ ...pass, seconds: 8 }] } };
    expect(mark('air', { ...little, successes: [good, good] })?.verdict).toBe('enough');
    expect(mark('air', { ...little, successes: [good, good, good] })).toMatchObject({
      verdict: 'more',
      before: { value: 15, n: 3 },
    });
  });

  it('cells are waited for until they should be open', () => {
    expect(mark('cells')).toMatchObject({ verdict: 'more', value: 30, from: 40, to: 90 });
    expect(mark('cells', { nowMs: Date.parse(at) + 95_000 })?.verdict).toBe('enough');
    expect(mark('cells', { opens: null })?.to).toBeUndefined();
  });

  it('a thick middle is spun on', () => {
    expect(mark('middle', { middleMm: 6 })?.verdict).toBe('more');
    expect(mark('middle')?.verdict).toBe('enough');
  });
});
