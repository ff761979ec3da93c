import fc from 'fast-check';
import {
  AIR_TOOLS,
  airBounds,
  airTool,
  deepDentMm,
  jetOnPaint,
  middleUnder,
  passReachMm,
  peakShearPa,
  shearAheadPa,
} from './index.ts';

const mouth = { exitSpeedMS: 15, exitDiameterMm: 9, distanceMm: 100, paintDensityKgM3: 1150 };

describe('how near and how steep', () => {
  const question = { ...mouth, slantDeg: 90, depthMm: 4.74, filmMm: 1 };

  it('at the nearest distance the jet law leaves just the film that was asked for', () => {
    const number = (min: number, max: number) => fc.double({ min, max, noNaN: true });
    fc.assert(
      fc.property(number(1.5, 30), number(0, 1), number(10, 90), (depthMm, filmMm, slantDeg) => {
        const asked = { ...question, depthMm, filmMm, slantDeg };
        const { nearestDistanceMm, steepestSlantDeg } = airBounds(asked);
        if (nearestDistanceMm > 0) {
          const there = jetOnPaint({ ...mouth, slantDeg, distanceMm: nearestDistanceMm });
          expect(depthMm - there.dentMm).toBeCloseTo(filmMm, 9);
        }
        const slanted = jetOnPaint({ ...mouth, slantDeg: steepestSlantDeg });
        expect(depthMm - slanted.dentMm).toBeGreaterThanOrEqual(filmMm - 1e-9);
      }),
    );
  });

  it('a mouth, straight, must stay 10 cm off a pillow of 4.74 mm to leave 1 mm', () => {
    expect(airBounds(question).nearestDistanceMm).toBeCloseTo(100, 0);
  });

  it('paint that is thinner than what shall stay is answered', () => {
    expect(() => airBounds({ ...question, depthMm: 0.5 })).toThrow(
      expect.objectContaining({ field: 'filmMm' }),
    );
    expect(() => airBounds({ ...question, slantDeg: 0 })).toThrow(
      expect.objectContaining({ field: 'slantDeg' }),
    );
  });

  it('the middle is bare, a skin, a dish, or dips with the rest', () => {
    expect([4, 3.9, 3.1, 3, 2.1, 2, 1].map((dentMm) => middleUnder(4, dentMm, 1))).toEqual([
      ...['bare', 'skin', 'skin', 'dish', 'dish', 'dip', 'dip'],
    ]);
  });
});

describe('a deep dent (Banks & Chandrasekhara 1963, from memory)', () => {
  it('agrees with the shallow law within a third where the dent is shallow', () => {
    const shallow = jetOnPaint({ ...mouth, slantDeg: 90, distanceMm: 200 }).dentMm;
    expect(Math.abs(Math.log(deepDentMm({ ...mouth, distanceMm: 200 }) / shallow))).toBeLessThan(
      Math.log(1.34),
    );
  });

  it('solves its own equation', () => {
    const n = deepDentMm(mouth) / mouth.distanceMm;
    const momentum = (Math.PI / 4) * 0.009 ** 2 * 1.204 * 15 ** 2;
    expect((Math.PI / (2 * 49)) * n * (1 + n) ** 2).toBeCloseTo(momentum / (1150 * 9.81 * 0.1 ** 3), 9);
  });
});

describe('shear and reach (Phares, Smedley & Flagan 2000, from memory)', () => {
  it('44.6 rho U^2 Re^-1/2 (H/d)^-2: a mouth at 10 cm shears with about 1 Pa', () => {
    expect(peakShearPa(mouth)).toBeCloseTo(
      (44.6 * 1.204 * 225) / Math.sqrt(0.135 / 1.51e-5) / (100 / 9) ** 2,
      9,
    );
    expect(peakShearPa(mouth)).toBeGreaterThan(0.9);
    expect(peakShearPa(mouth)).toBeLessThan(1.2);
  });

  it("a pass is blown as the film model blows: a smooth wall's friction is 2.5 times less, and then near Phares' peak", () => {
    for (const { exitSpeedMS, exitDiameterMm } of AIR_TOOLS) {
      for (const exits of [7, 12, 20]) {
        const jet = { exitSpeedMS, exitDiameterMm, distanceMm: exits * exitDiameterMm };
        const smooth = shearAheadPa({ ...jet, slantDeg: 90 }, 0) / 2.5;
        expect(smooth / peakShearPa(jet)).toBeGreaterThan(0.4);
        expect(smooth / peakShearPa(jet)).toBeLessThan(5);
      }
    }
  });
});

describe('reach', () => {
  const blows = fc.record({
    exitSpeedMS: fc.double({ min: 2, max: 120, noNaN: true }),
    exitDiameterMm: fc.double({ min: 1, max: 120, noNaN: true }),
    distanceMm: fc.double({ min: 5, max: 3000, noNaN: true }),
    slantDeg: fc.double({ min: 5, max: 90, noNaN: true }),
    seconds: fc.double({ min: 0.1, max: 60, noNaN: true }),
  });
  const layer = fc.record({
    thicknessMm: fc.double({ min: 0.05, max: 8, noNaN: true }),
    viscosityPaS: fc.double({ min: 0.05, max: 1000, noNaN: true }),
  });
  const sheets = fc.record({ layers: fc.array(layer, { minLength: 1, maxLength: 5 }) });
  const more = fc.double({ min: 1, max: 8, noNaN: true });

  it('farther away, weaker, shorter or thicker never reaches farther', () => {
    fc.assert(
      fc.property(blows, sheets, more, (blow, sheet, by) => {
        const reach = passReachMm(blow, sheet) * (1 + 1e-9) + 1e-9;
        const thicker = sheet.layers.map((each) => ({ ...each, viscosityPaS: by * each.viscosityPaS }));
        expect(passReachMm({ ...blow, distanceMm: by * blow.distanceMm }, sheet)).toBeLessThanOrEqual(reach);
        expect(passReachMm({ ...blow, exitSpeedMS: blow.exitSpeedMS / by }, sheet)).toBeLessThanOrEqual(
          reach,
        );
        expect(passReachMm({ ...blow, seconds: blow.seconds / by }, sheet)).toBeLessThanOrEqual(reach);
        expect(passReachMm(blow, { layers: thicker })).toBeLessThanOrEqual(reach);
      }),
      { numRuns: 400 },
    );
  });

  it('its few steps lie within 1 % of steps twenty times as fine', () => {
    fc.assert(
      fc.property(blows, sheets, (blow, sheet) => {
        const fine = passReachMm(blow, sheet, 1.001);
        expect(Math.abs(passReachMm(blow, sheet) - fine)).toBeLessThan(0.01 * fine + 0.3);
      }),
      { numRuns: 150 },
    );
  });

  it('a mouth from 3 m moves nothing, and a leaf blower no paste of 10,000 Pa.s', () => {
    const sheet = { layers: [{ thicknessMm: 3, viscosityPaS: 2.5 }] };
    expect(passReachMm({ ...mouth, distanceMm: 3000, slantDeg: 25, seconds: 3 }, sheet)).toBe(0);
    const paste = { layers: [{ thicknessMm: 3, viscosityPaS: 10_000 }] };
    const leaf = { ...airTool('leaf-blower'), slantDeg: 25, seconds: 3 };
    expect(passReachMm(leaf, paste)).toBeLessThan(1);
  });

  it('names what cannot be', () => {
    const sheet = { layers: [{ thicknessMm: 3, viscosityPaS: 2.5 }] };
    expect(() => passReachMm({ ...mouth, slantDeg: 25, seconds: 0 }, sheet)).toThrow(
      expect.objectContaining({ field: 'seconds' }),
    );
  });
});
