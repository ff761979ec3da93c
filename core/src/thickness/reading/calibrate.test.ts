import fc from 'fast-check';
import {
  calibrateConstant,
  calibrateDrainCup,
  DRAIN_CUPS,
  glycerineViscosity,
  referenceProperties,
  type CalibrationPoint,
} from './index.ts';

const glycerine = (massFraction: number, seconds: number, temperatureC = 20): CalibrationPoint => ({
  liquid: { kind: 'glycerine', massFraction, temperatureC },
  seconds,
});

describe('the constant of a card or a mound', () => {
  it('is Pa·s for each second of the reference', () => {
    const { ln } = calibrateConstant('card', [glycerine(1, 10)]);
    expect(Math.exp(ln)).toBeCloseTo(glycerineViscosity(1, 20) / 10, 12);
  });

  it('gets surer with readings, and less sure with scatter', () => {
    const once = calibrateConstant('card', [glycerine(1, 10)]);
    const four = calibrateConstant(
      'card',
      [10, 10.2, 9.9, 10.1].map((seconds) => glycerine(1, seconds)),
    );
    const wild = calibrateConstant(
      'card',
      [6, 14, 9, 20].map((seconds) => glycerine(1, seconds)),
    );
    expect(four.sdLn).toBeLessThan(once.sdLn);
    expect(wild.sdLn).toBeGreaterThan(four.sdLn);
  });

  it('a mound is timed worse than a card', () => {
    expect(calibrateConstant('mound', [glycerine(1, 1)]).sdLn).toBeGreaterThan(
      calibrateConstant('card', [glycerine(1, 1)]).sdLn,
    );
  });

  it('needs a reading with its seconds', () => {
    expect(() => calibrateConstant('card', [])).toThrow(expect.objectContaining({ field: 'points' }));
    expect(() => calibrateConstant('card', [glycerine(1, 0)])).toThrow(
      expect.objectContaining({ field: 'points.0.seconds' }),
    );
  });
});

describe('the formula of a home-made cup', () => {
  const known = (nu: number, seconds: number): CalibrationPoint => ({
    liquid: { kind: 'known', name: 'oil', viscosityPaS: nu / 1e3, densityGPerMl: 1 },
    seconds,
  });

  it('finds a standard cup’s own formula again from readings of it (ISO 2431, from memory)', () => {
    for (const name of ['iso-3', 'iso-4', 'iso-5', 'iso-6'] as const) {
      const { a, b } = DRAIN_CUPS[name];
      const found = calibrateDrainCup([30, 45, 70, 100].map((t) => known(a * t - b / t, t)));
      expect(found.a).toBeCloseTo(a, 9);
      expect(found.b).toBeCloseTo(b, 6);
      expect(found.sdLn).toBe(0.04);
    }
  });

  it('with one reading is a straight proportion', () => {
    const { a, b } = calibrateDrainCup([known(300, 40)]);
    expect(a).toBeCloseTo(7.5, 12);
    expect(b).toBe(0);
  });

  it('never gets a negative flow: where the fit would, it stays a proportion', () => {
    fc.assert(
      fc.property(
        fc.array(
          fc.tuple(
            fc.double({ min: 50, max: 900, noNaN: true }),
            fc.double({ min: 20, max: 120, noNaN: true }),
          ),
          { minLength: 2, maxLength: 6 },
        ),
        (readings) => {
          const { a, b, sdLn } = calibrateDrainCup(readings.map(([nu, t]) => known(nu, t)));
          expect(a).toBeGreaterThan(0);
          expect(b).toBeGreaterThanOrEqual(0);
          expect(Number.isFinite(sdLn)).toBe(true);
        },
      ),
    );
  });

  it('takes glycerine by its own density', () => {
    const { densityGPerMl, viscosityPaS, name } = referenceProperties({
      kind: 'glycerine',
      massFraction: 1,
      temperatureC: 20,
    });
    const { a } = calibrateDrainCup([glycerine(1, 100)]);
    expect(a).toBeCloseTo((viscosityPaS / densityGPerMl) * 10, 9);
    expect(name).toBe('glycerine 100 %, 20 °C');
  });
});
