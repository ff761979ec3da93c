import fc from 'fast-check';
import { filmLeftMm, levelingRate, spreadRadiusMm, spunMm, restingMm } from './index.ts';

const positive = (min: number, max: number) => fc.double({ min, max, noNaN: true });

describe('film left on a tilted face (Jeffreys 1930, from memory)', () => {
  const film = { viscosityPaS: 0.8, densityKgM3: 1100, lengthM: 0.3, tiltDeg: 30, seconds: 30 };

  it('0.8 Pa·s, 0.30 m, 30 degrees, 30 s leaves 1.218 mm', () => {
    expect(filmLeftMm(film)).toBeCloseTo(1.218, 3);
  });

  it('waiting four times as long halves it; four times as thick doubles it', () => {
    expect(filmLeftMm({ ...film, seconds: 120 })).toBeCloseTo(filmLeftMm(film) / 2, 12);
    expect(filmLeftMm({ ...film, viscosityPaS: 3.2 })).toBeCloseTo(filmLeftMm(film) * 2, 12);
  });

  it.each([
    [{ tiltDeg: 0 }, 'tiltDeg'],
    [{ tiltDeg: 91 }, 'tiltDeg'],
    [{ seconds: 0 }, 'seconds'],
    [{ lengthM: -1 }, 'lengthM'],
    [{ viscosityPaS: Number.NaN }, 'viscosityPaS'],
  ])('refuses %j and names %s', (wrong, field) => {
    expect(() => filmLeftMm({ ...film, ...wrong })).toThrow(expect.objectContaining({ field }));
  });
});

describe('spinning (Emslie, Bonner & Peck 1958, from memory)', () => {
  const film = { thicknessMm: 3, viscosityPaS: 3, densityKgM3: 1150, rpm: 60, seconds: 10 };

  it('3 mm at 60 turns a minute for 10 s leaves 1.788 mm', () => {
    expect(spunMm(film)).toBeCloseTo(1.788, 3);
  });

  it('two spins are one long spin', () => {
    fc.assert(
      fc.property(
        positive(0.2, 10),
        positive(0.1, 20),
        positive(1, 200),
        positive(0, 60),
        (mm, mu, rpm, s) => {
          const once = { ...film, thicknessMm: mm, viscosityPaS: mu, rpm };
          const first = spunMm({ ...once, seconds: s });
          const both = spunMm({ ...once, thicknessMm: first, seconds: 5 });
          expect(both).toBeCloseTo(spunMm({ ...once, seconds: s + 5 }), 9);
        },
      ),
    );
  });

  it('no spin changes nothing, and spinning never thickens', () => {
    expect(spunMm({ ...film, rpm: 0 })).toBe(3);
    fc.assert(
      fc.property(positive(0.2, 10), positive(1, 200), (mm, rpm) => {
        expect(spunMm({ ...film, thicknessMm: mm, rpm })).toBeLessThan(mm);
      }),
    );
  });

  it('long spins forget how thick it was: h = sqrt(3 mu / (4 rho w^2 t))', () => {
    const w = (60 * 2 * Math.PI) / 60;
    const limit = 1000 * Math.sqrt((3 * 3) / (4 * 1150 * w ** 2 * 1e5));
    expect(spunMm({ ...film, seconds: 1e5 }) / limit).toBeCloseTo(1, 4);
  });
});

describe('a puddle under its own weight (Huppert 1982a, from memory)', () => {
  const puddle = { volumeMl: 50, viscosityPaS: 3, densityKgM3: 1150, seconds: 60 };

  it('50 ml of 3 Pa·s reach 88.7 mm in a minute', () => {
    expect(spreadRadiusMm(puddle)).toBeCloseTo(88.7, 1);
  });

  it('grows with the eighth root of time and the 3/8 power of volume', () => {
    expect(spreadRadiusMm({ ...puddle, seconds: 60 * 256 })).toBeCloseTo(2 * spreadRadiusMm(puddle), 9);
    expect(spreadRadiusMm({ ...puddle, volumeMl: 50 * 256 })).toBeCloseTo(8 * spreadRadiusMm(puddle), 9);
  });

  it.each(['volumeMl', 'viscosityPaS', 'densityKgM3', 'seconds'] as const)('asks for %s above 0', (field) => {
    expect(() => spreadRadiusMm({ ...puddle, [field]: 0 })).toThrow(expect.objectContaining({ field }));
  });
});

describe('leveling (Orchard 1962, from memory)', () => {
  const ripple = {
    wavelengthMm: 10,
    thicknessMm: 1,
    viscosityPaS: 0.8,
    densityKgM3: 1100,
    surfaceTensionNM: 0.03,
  };

  it('a thin film levels as lubrication theory has it: h^3 k^2 (rho g + gamma k^2) / (3 mu)', () => {
    const thin = { ...ripple, wavelengthMm: 100, thicknessMm: 0.1 };
    const k = (2 * Math.PI) / 0.1;
    const lubrication = (1e-4 ** 3 * k ** 2 * (1100 * 9.81 + 0.03 * k ** 2)) / (3 * 0.8);
    expect(levelingRate(thin) / lubrication).toBeCloseTo(1, 3);
  });

  it('a deep layer levels at (rho g + gamma k^2) / (2 mu k)', () => {
    const k = (2 * Math.PI) / 0.01;
    const deep = (1100 * 9.81 + 0.03 * k ** 2) / (2 * 0.8 * k);
    expect(levelingRate({ ...ripple, thicknessMm: 500 }) / deep).toBeCloseTo(1, 12);
  });

  it('passes smoothly from the series for thin films to the whole formula', () => {
    const at = (kh: number) => levelingRate({ ...ripple, thicknessMm: (kh * 10) / (2 * Math.PI) });
    expect(at(0.0030003) / at(0.0029997)).toBeCloseTo(1.0006, 4);
  });

  it('twice as thick a paint takes twice as long; no tension and no weight is no leveling', () => {
    expect(levelingRate({ ...ripple, viscosityPaS: 1.6 })).toBeCloseTo(levelingRate(ripple) / 2, 12);
    expect(() => levelingRate({ ...ripple, surfaceTensionNM: -1 })).toThrow(
      expect.objectContaining({ field: 'surfaceTensionNM' }),
    );
  });
});

it('water that meets a face at a right angle rests 3.9 mm thick (de Gennes et al., from memory)', () => {
  const water = { surfaceTensionNM: 0.0728, densityKgM3: 998 };
  expect(restingMm({ ...water, contactDeg: 90 })).toBeCloseTo(3.86, 1);
  expect(restingMm({ ...water, contactDeg: 0 })).toBe(0);
  // Mercury on glass, 140 degrees: 3.6 mm.
  expect(restingMm({ surfaceTensionNM: 0.485, densityKgM3: 13_534, contactDeg: 140 })).toBeCloseTo(3.6, 1);
  expect(() => restingMm({ ...water, contactDeg: 200 })).toThrow(
    expect.objectContaining({ field: 'contactDeg' }),
  );
});
