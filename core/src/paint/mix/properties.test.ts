import fc from 'fast-check';
import { materialKind, type MaterialKind } from '../material/index.ts';
import { stageOf } from '../stage/index.ts';
import { mixProperties, mixSpreadLn, type MixPart } from './properties.ts';

type Share = readonly [kind: MaterialKind, massG: number];

const part = ([kind, massG]: Share): MixPart => {
  const { viscosityPaS, densityGPerMl } = materialKind(kind);
  return { massG, viscosityPaS, densityGPerMl, waterFraction: kind === 'water' ? 1 : 0 };
};

const mix = (...shares: readonly Share[]) => mixProperties(shares.map(part));

describe('the schools land in the stages artists describe (stages: common practice; values: the model, from memory)', () => {
  const cases: readonly (readonly [string, readonly Share[], number, string])[] = [
    [
      'D1 before water',
      [
        ['flow-conditioner', 2],
        ['student-tube', 1],
      ],
      3.5,
      'standing',
    ],
    [
      'D2',
      [
        ['flow-conditioner', 30],
        ['artist-tube', 15],
        ['water', 11.25],
      ],
      0.76,
      'fading',
    ],
    [
      'metallics of D2',
      [
        ['flow-conditioner', 2],
        ['artist-tube', 1],
        ['water', 1],
      ],
      0.5,
      'fading',
    ],
    [
      'D4 at 2.4 : 1',
      [
        ['artist-tube', 2.4],
        ['water', 1],
      ],
      1.9,
      'standing',
    ],
    [
      'D4 at 1 : 1',
      [
        ['artist-tube', 1],
        ['water', 1],
      ],
      0.21,
      'gone',
    ],
    [
      'B1',
      [
        ['untinted-base', 30],
        ['varnish', 10],
        ['fluid', 20],
      ],
      2.8,
      'standing',
    ],
    [
      'B3',
      [
        ['untinted-base', 1],
        ['soft-body', 1],
        ['varnish', 0.33],
        ['water', 0.6],
      ],
      0.93,
      'trace',
    ],
    [
      'P2',
      [
        ['wall-paint', 600],
        ['water', 70],
      ],
      3.1,
      'standing',
    ],
    [
      'A1',
      [
        ['cell-conditioner', 3],
        ['artist-tube', 1],
      ],
      1.18,
      'trace',
    ],
    [
      'A2',
      [
        ['cell-conditioner', 4],
        ['artist-tube', 1],
      ],
      0.92,
      'trace',
    ],
  ];
  it.each(cases)('%s', (_name, shares, viscosityPaS, stage) => {
    const result = mix(...shares);
    expect(Math.abs(result.viscosityPaS / viscosityPaS - 1)).toBeLessThan(0.02);
    expect(stageOf(result.viscosityPaS).name).toBe(stage);
  });

  it('a pillow of 600 g wall paint and 70 g water holds 10.4 % water (common practice)', () => {
    expect(mix(['wall-paint', 600], ['water', 70]).waterFraction).toBeCloseTo(0.104, 3);
  });
});

describe('log-additive mixing (Arrhenius 1887)', () => {
  it('equal masses of two liquids give the geometric mean', () => {
    const of = (viscosityPaS: number) => ({ massG: 10, viscosityPaS, densityGPerMl: 1 });
    expect(mixProperties([of(4), of(0.25)]).viscosityPaS).toBeCloseTo(1, 12);
  });

  it('volumes add: 10 ml and 20 ml are 30 ml', () => {
    const result = mixProperties([
      { massG: 12, viscosityPaS: 1, densityGPerMl: 1.2 },
      { massG: 20, viscosityPaS: 1, densityGPerMl: 1 },
    ]);
    expect(result.volumeMl).toBeCloseTo(30, 12);
    expect(result.densityGPerMl).toBeCloseTo(32 / 30, 12);
  });
});

const anyPart = fc.record({
  massG: fc.double({ min: 0.01, max: 500, noNaN: true }),
  viscosityPaS: fc.double({ min: 0.001, max: 100, noNaN: true }),
  densityGPerMl: fc.double({ min: 0.8, max: 2, noNaN: true }),
  waterFraction: fc.double({ min: 0, max: 1, noNaN: true }),
});
const anyMix = fc.array(anyPart, { minLength: 1, maxLength: 6 });

describe('properties that hold for every mix', () => {
  it('mass is kept, and viscosity and density lie between those of the parts', () => {
    fc.assert(
      fc.property(anyMix, (parts) => {
        const result = mixProperties(parts);
        expect(result.massG).toBeCloseTo(
          parts.reduce((sum, each) => sum + each.massG, 0),
          9,
        );
        for (const key of ['viscosityPaS', 'densityGPerMl', 'waterFraction'] as const) {
          const values = parts.map((each) => each[key]);
          expect(result[key]).toBeGreaterThanOrEqual(Math.min(...values) * (1 - 1e-12) - 1e-12);
          expect(result[key]).toBeLessThanOrEqual(Math.max(...values) * (1 + 1e-12) + 1e-12);
        }
      }),
    );
  });

  it('adding water never thickens a mix that is thicker than water', () => {
    fc.assert(
      fc.property(anyMix, fc.double({ min: 0.01, max: 100, noNaN: true }), (parts, waterG) => {
        const before = mixProperties(parts);
        fc.pre(before.viscosityPaS > 1.01e-3);
        const after = mixProperties([...parts, part(['water', waterG])]);
        expect(after.viscosityPaS).toBeLessThan(before.viscosityPaS);
      }),
    );
  });

  it('mixing two cups together equals mixing all their parts', () => {
    fc.assert(
      fc.property(anyMix, anyMix, (a, b) => {
        const direct = mixProperties([...a, ...b]);
        const stepwise = mixProperties([mixProperties(a), mixProperties(b)]);
        expect(stepwise.viscosityPaS / direct.viscosityPaS).toBeCloseTo(1, 9);
        expect(stepwise.volumeMl / direct.volumeMl).toBeCloseTo(1, 9);
      }),
    );
  });
});

describe('the spread of a prediction', () => {
  it('independent spreads add in squares, weighted by mass', () => {
    const spread = mixSpreadLn([
      { massG: 1, sdLn: 0.6 },
      { massG: 1, sdLn: 0.8 },
    ]);
    expect(spread).toBeCloseTo(0.5, 12);
  });
});

describe('bad input', () => {
  it('names the part and what is wrong with it', () => {
    const fine = { massG: 1, viscosityPaS: 1, densityGPerMl: 1 };
    const field = (name: string) => expect.objectContaining({ field: name });
    expect(() => mixProperties([])).toThrow(field('parts'));
    expect(() => mixProperties([{ ...fine, massG: 0 }])).toThrow(field('parts'));
    expect(() => mixProperties([fine, { ...fine, massG: -1 }])).toThrow(field('parts.1.massG'));
    expect(() => mixProperties([{ ...fine, viscosityPaS: 0 }])).toThrow(field('parts.0.viscosityPaS'));
    expect(() => mixProperties([{ ...fine, densityGPerMl: Number.NaN }])).toThrow(
      field('parts.0.densityGPerMl'),
    );
    expect(() => mixSpreadLn([])).toThrow(field('parts'));
  });
});
