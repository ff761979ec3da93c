import fc from 'fast-check';
import { driftMm, GRAVITY_MS2 } from './index.ts';

const film = {
  thicknessMm: 1,
  viscosityPaS: 1,
  densityKgM3: 1100,
  slopeMmPerM: 2,
  lengthMm: 400,
  dryingSeconds: 15_600,
};

describe('drift on a slope (Nusselt’s film, from memory)', () => {
  it('worked out by hand: rho g sin(a) h2 / 2 mu = 10.79 um/s, for 15 600 s / ln 1000', () => {
    const speed = (1100 * GRAVITY_MS2 * 0.002 * 1e-6) / 2;
    expect(driftMm(film)).toBeCloseTo((1000 * speed * 15_600) / Math.log(1000), 2);
  });

  it('ends when the surface lies level: a wedge of 2 mm on a meter over 40 cm moves its middle by 60 mm', () => {
    expect(driftMm({ ...film, viscosityPaS: 0.01 })).toBeCloseTo((1.5 * 0.002 * 160_000) / 8, 2);
  });

  it('a level rack moves nothing; thicker, thinner and steeper all move more (property)', () => {
    expect(driftMm({ ...film, slopeMmPerM: 0 })).toBe(0);
    const positive = fc.double({ min: 0.05, max: 20, noNaN: true });
    fc.assert(
      fc.property(positive, positive, positive, (viscosityPaS, slopeMmPerM, thicknessMm) => {
        const some = { ...film, viscosityPaS, slopeMmPerM, thicknessMm };
        expect(driftMm({ ...some, slopeMmPerM: 2 * slopeMmPerM })).toBeGreaterThanOrEqual(driftMm(some));
        expect(driftMm({ ...some, viscosityPaS: 2 * viscosityPaS })).toBeLessThanOrEqual(driftMm(some));
      }),
    );
  });

  it('says what is wrong with its input', () => {
    expect(() => driftMm({ ...film, thicknessMm: 0 })).toThrow(
      expect.objectContaining({ field: 'thicknessMm' }),
    );
    expect(() => driftMm({ ...film, slopeMmPerM: -1 })).toThrow(
      expect.objectContaining({ field: 'slopeMmPerM' }),
    );
  });
});
