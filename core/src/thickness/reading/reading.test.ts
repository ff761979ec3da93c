import fc from 'fast-check';
import { stageOf } from '../../paint/stage/index.ts';
import {
  combine,
  DRAIN_CUPS,
  drained,
  glycerineDensity,
  glycerineViscosity,
  laneLn,
  measured,
  moundSeconds,
  moundViscosity,
  interpret,
  tiltRace,
  USUAL_MOUND_CONSTANT,
  type Measure,
} from './index.ts';

const positive = fc.double({ min: 0.01, max: 100, noNaN: true });

describe('glycerine (Cheng 2008, values from memory)', () => {
  it.each([
    [1, 20, 1.4138],
    [1, 25, 0.9057],
    [0.9, 20, 0.2237],
    [0, 20, 0.001005],
  ])('with a share of %f at %f °C has %f Pa·s', (share, temperature, paS) => {
    expect(glycerineViscosity(share, temperature) / paS).toBeCloseTo(1, 2);
  });

  it('gets thinner with water and with warmth', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0, max: 0.98, noNaN: true }),
        fc.double({ min: 0, max: 60, noNaN: true }),
        (share, temperature) => {
          const here = glycerineViscosity(share, temperature);
          expect(glycerineViscosity(share + 0.02, temperature)).toBeGreaterThan(here);
          expect(glycerineViscosity(share, temperature + 1)).toBeLessThan(here);
        },
      ),
    );
  });

  it('weighs 1.264 g/ml pure and about 0.998 as water at 20 °C (handbook values, from memory)', () => {
    expect(glycerineDensity(1, 20)).toBeCloseTo(1.264, 3);
    expect(glycerineDensity(0, 20)).toBeCloseTo(0.998, 2);
  });

  it.each([
    [1.1, 20, 'glycerineMassFraction'],
    [-0.1, 20, 'glycerineMassFraction'],
    [Number.NaN, 20, 'glycerineMassFraction'],
    [0.5, -1, 'temperatureC'],
    [0.5, 101, 'temperatureC'],
  ])('refuses a share of %f at %f °C and names %s', (share, temperature, field) => {
    expect(() => glycerineViscosity(share, temperature)).toThrow(expect.objectContaining({ field }));
  });
});

describe('cups with a hole', () => {
  it.each([
    ['iso-3', 60, 0.443 * 60 - 200 / 60],
    ['iso-4', 60, 1.37 * 60 - 200 / 60],
    ['iso-5', 60, 3.28 * 60 - 220 / 60],
    ['iso-6', 60, 6.9 * 60 - 570 / 60],
    ['ford-4', 60, 3.85 * (60 - 4.49)],
    ['zahn-2', 60, 3.5 * (60 - 14)],
    ['zahn-3', 60, 11.7 * (60 - 7.5)],
    ['zahn-4', 60, 14.8 * (60 - 5)],
  ] as const)(
    '%s at %f s is %f mm2/s (ISO 2431, ASTM D1200, ASTM D4212, from memory)',
    (cup, seconds, nu) => {
      const { kinematicMm2S, viscosityPaS, inRange } = drained(DRAIN_CUPS[cup], seconds, 1.1);
      expect(kinematicMm2S).toBeCloseTo(nu, 9);
      expect(viscosityPaS).toBeCloseTo((nu * 1.1) / 1000, 12);
      expect(inRange).toBe(true);
    },
  );

  it('says when the time lies outside what the cup is meant for', () => {
    expect(drained(DRAIN_CUPS['iso-6'], 29.9, 1).inRange).toBe(false);
    expect(drained(DRAIN_CUPS['iso-6'], 100.1, 1).inRange).toBe(false);
    expect(drained(DRAIN_CUPS['zahn-2'], 20, 1).inRange).toBe(true);
  });

  it('a time too short for the formula asks for a smaller hole, or for a race where there is none', () => {
    expect(() => drained(DRAIN_CUPS['iso-6'], 8, 1)).toThrow(/drain it from the ISO 2431, 5 mm cup/);
    expect(() => drained(DRAIN_CUPS['iso-3'], 15, 1)).toThrow(/race it on a card/);
    expect(() => drained(DRAIN_CUPS['zahn-2'], 14, 1)).toThrow(expect.objectContaining({ field: 'seconds' }));
    expect(() => drained(DRAIN_CUPS['iso-4'], 60, 0)).toThrow(
      expect.objectContaining({ field: 'densityGPerMl' }),
    );
  });
});

describe('tilt race (Huppert 1982b; Lister 1992, from memory)', () => {
  it('to one line, thickness goes with time', () => {
    expect(tiltRace({ seconds: 9, referenceSeconds: 6 }, 1.4)).toBeCloseTo(2.1, 12);
  });

  it('stopped at one moment, thickness goes with the inverse cube of the run', () => {
    expect(tiltRace({ lengthMm: 50, referenceLengthMm: 100 }, 1)).toBeCloseTo(8, 12);
  });

  it('both ways of reading agree: x = (9 A^2 g sin(a) t / 4 nu)^(1/3)', () => {
    fc.assert(
      fc.property(positive, positive, (mu, reference) => {
        const front = (paS: number, seconds: number) => Math.cbrt((2.5 * seconds) / paS);
        const timeTo = (paS: number, length: number) => (length ** 3 * paS) / 2.5;
        const byTime = tiltRace(
          { seconds: timeTo(mu, 3), referenceSeconds: timeTo(reference, 3) },
          reference,
        );
        const byLength = tiltRace(
          { lengthMm: front(mu, 4), referenceLengthMm: front(reference, 4) },
          reference,
        );
        expect(byTime / mu).toBeCloseTo(1, 9);
        expect(byLength / mu).toBeCloseTo(1, 9);
      }),
    );
  });

  it('equal runs are equal thickness, and swapping lanes inverts the ratio', () => {
    fc.assert(
      fc.property(positive, positive, (a, b) => {
        expect(tiltRace({ seconds: a, referenceSeconds: a }, 0.7)).toBeCloseTo(0.7, 12);
        const there = tiltRace({ seconds: a, referenceSeconds: b }, 1);
        const back = tiltRace({ seconds: b, referenceSeconds: a }, 1);
        expect(there * back).toBeCloseTo(1, 9);
      }),
    );
  });

  it('asks for what is missing', () => {
    expect(() => tiltRace({ seconds: 0, referenceSeconds: 1 }, 1)).toThrow(/time/);
    expect(() => tiltRace({ lengthMm: 1, referenceLengthMm: 0 }, 1)).toThrow(
      expect.objectContaining({ field: 'referenceLengthMm' }),
    );
    expect(() => laneLn('time', 0)).toThrow(/crosses the line/);
    expect(() => laneLn('length', -1)).toThrow(/run length/);
  });
});

describe('mound seconds (Orchard 1962 for a bump in a deep layer)', () => {
  it('are in proportion to thickness', () => {
    expect(moundViscosity(2, 1.5)).toBe(3);
    fc.assert(
      fc.property(positive, (paS) => {
        expect(moundViscosity(moundSeconds(paS))).toBeCloseTo(paS, 9);
      }),
    );
  });

  it('a stacking mound stays for a second or more, a fading one is gone at once (common practice)', () => {
    expect(moundSeconds(6)).toBeGreaterThan(1);
    expect(moundSeconds(0.56)).toBeLessThan(0.25);
    expect(USUAL_MOUND_CONSTANT).toBeGreaterThan(0);
  });
});

describe('readings together', () => {
  it('two equal ones keep the value and lose spread by the root of two', () => {
    const { viscosityPaS, sdLn } = combine([
      { viscosityPaS: 0.8, sdLn: 0.12 },
      { viscosityPaS: 0.8, sdLn: 0.12 },
    ]);
    expect(viscosityPaS).toBeCloseTo(0.8, 12);
    expect(sdLn).toBeCloseTo(0.12 / Math.SQRT2, 12);
  });

  it('meet in the middle of their logarithms, nearer to the surer one, never outside', () => {
    fc.assert(
      fc.property(positive, positive, positive, positive, (a, b, sdA, sdB) => {
        const found = combine([
          { viscosityPaS: a, sdLn: sdA },
          { viscosityPaS: b, sdLn: sdB },
        ]);
        expect(found.viscosityPaS).toBeGreaterThanOrEqual(Math.min(a, b) * (1 - 1e-9));
        expect(found.viscosityPaS).toBeLessThanOrEqual(Math.max(a, b) * (1 + 1e-9));
        expect(found.sdLn).toBeLessThanOrEqual(Math.min(sdA, sdB));
      }),
    );
    expect(
      combine([
        { viscosityPaS: 1, sdLn: 0.1 },
        { viscosityPaS: 4, sdLn: 0.1 },
      ]).viscosityPaS,
    ).toBeCloseTo(2, 12);
  });

  it('none, or one without a spread, is refused', () => {
    expect(() => combine([])).toThrow(expect.objectContaining({ field: 'readings' }));
    expect(() => combine([{ viscosityPaS: 1, sdLn: 0 }])).toThrow(
      expect.objectContaining({ field: 'readings.0.sdLn' }),
    );
  });
});

describe('what one measure says', () => {
  it.each(['stacking', 'standing', 'trace', 'fading', 'gone', 'denting'] as const)(
    'the word %s means the middle of its stage: half a unit of ln, and what the eye is used to',
    (stage) => {
      const { viscosityPaS, sdLn } = measured({ kind: 'words', stage })!;
      expect(stageOf(viscosityPaS).name).toBe(stage);
      expect(sdLn).toBeCloseTo(Math.hypot(0.5, 0.35), 12);
    },
  );

  it('mound seconds are good to 0.8 before the constant is calibrated, to 0.4 after', () => {
    const mound: Measure = { kind: 'mound', seconds: 3, constant: null };
    expect(measured(mound)!.sdLn).toBeCloseTo(0.8, 2);
    const calibrated = measured({ ...mound, constant: { ln: Math.log(2), sdLn: 0.1 } })!;
    expect(calibrated.viscosityPaS).toBeCloseTo(6, 9);
    expect(calibrated.sdLn).toBeCloseTo(0.4, 2);
  });

  it('a mound that is gone within half a second only bounds the thickness', () => {
    const quick = (seconds: number) => measured({ kind: 'mound', seconds, constant: { ln: 0, sdLn: 0.1 } })!;
    expect(quick(0.2)).toMatchObject({ viscosityPaS: 0.5, atMost: true });
    expect(quick(0.49).viscosityPaS).toBeCloseTo(0.5, 9);
    expect(quick(0.5)).not.toHaveProperty('atMost');
    expect(() => quick(0)).toThrow(expect.objectContaining({ field: 'seconds' }));
  });

  it('a drain cup is good to 0.08, one of one’s own to its own spread too', () => {
    const cup = { kind: 'drain-cup', cup: 'iso-6', own: null, seconds: 60, densityGPerMl: 1.1 } as const;
    expect(measured(cup)!.sdLn).toBe(0.08);
    const own = { name: 'yoghurt cup', a: 20, b: 0, sdLn: 0.06 };
    const mine = measured({ ...cup, cup: 'own', own, seconds: 40, densityGPerMl: 1 })!;
    expect(mine.viscosityPaS).toBeCloseTo(0.8, 9);
    expect(mine.sdLn).toBeCloseTo(0.1, 9);
  });

  it('a lane by itself says nothing but against others, unless its card is calibrated', () => {
    const lane = { kind: 'race', by: 'time', value: 8, liquid: null, card: null } as const;
    expect(measured(lane)).toBeUndefined();
    expect(interpret(lane).sdLn * Math.SQRT2).toBeCloseTo(0.12, 12);
    // A length off a picture brings three times its own share, as thickness goes with its cube.
    const length = { ...lane, by: 'length', value: 60 } as const;
    expect(interpret({ ...length, sdMm: 1.2 }).sdLn).toBeCloseTo(Math.hypot(0.12 / Math.SQRT2, 0.06), 12);
    const tied = measured({ ...lane, card: { ln: Math.log(0.1), sdLn: 0.05 } })!;
    expect(tied.viscosityPaS).toBeCloseTo(0.8, 9);
  });
});
