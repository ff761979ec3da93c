import { gaussian, seededRandom } from '../../base/random/index.ts';
import { stageCenter, stageOf, STAGES } from '../../paint/stage/index.ts';
import { learn, thicknessOf, type LearnCup, type ReadingRecord } from '../../thickness/learn/index.ts';
import { eyeOf, measured } from '../../thickness/reading/index.ts';
import {
  meanFactor,
  moundsToName,
  namedAs,
  puddleRadiusMm,
  puddlesToJudge,
  ranOut,
  scoreAmounts,
  scoreNaming,
  streamOf,
  unevenness,
  wiggleLeft,
} from './index.ts';

describe('naming mounds', () => {
  it('shows thicknesses of every stage, in no order, the same from the same seed', () => {
    const shown = moundsToName(60, seededRandom(3));
    expect(new Set(shown.map((paS) => stageOf(paS).name)).size).toBe(STAGES.length);
    expect(shown).not.toEqual([...shown].sort((a, b) => a - b));
    expect(moundsToName(60, seededRandom(3))).toEqual(shown);
  });

  it('counts the right stage whole and the next one half', () => {
    expect(scoreNaming([namedAs(1.2, 'trace')])).toBe(100);
    expect(scoreNaming([namedAs(1.2, 'trace'), namedAs(1.2, 'standing')])).toBe(75);
    expect(scoreNaming([namedAs(1.2, 'denting')])).toBe(0);
  });

  it('a thin film loses a drawn line faster than a thick one, in proportion to viscosity', () => {
    expect(wiggleLeft(1, 0)).toBe(1);
    expect(Math.log(wiggleLeft(4, 1))).toBeCloseTo(Math.log(wiggleLeft(1, 1)) / 4, 9);
  });
});

describe('what the words of a practiced eye are worth', () => {
  /** A simulated artist: an eye that is off by `bias`, and words that stray by 0.5. */
  const practiced = (bias: number, count: number, seed: number) => {
    const random = seededRandom(seed);
    return moundsToName(count, random).map((paS) => {
      const seen = Math.log(paS) + bias + 0.5 * gaussian(random);
      return { shownPaS: paS, saidPaS: stageCenter(stageOf(Math.exp(seen)).name) };
    });
  };

  it('without practice it is what is taken for granted of everybody', () => {
    expect(eyeOf([])).toEqual({ ln: 0, sdLn: 0.35, spreadLn: 0.5, named: 0 });
  });

  it('what is said of the bias holds: nine of ten true ones lie within 1.645 of its spread, whatever was named', () => {
    for (const count of [8, 24, 60]) {
      const random = seededRandom(100 + count);
      let within = 0;
      const ARTISTS = 600;
      for (let artist = 0; artist < ARTISTS; artist += 1) {
        const bias = 0.35 * gaussian(random);
        const { ln, sdLn } = eyeOf(practiced(bias, count, 7000 + artist));
        if (Math.abs(ln - bias) < 1.645 * sdLn) within += 1;
      }
      // A screen leaves more open than naming alone would: the range is never too narrow.
      expect(within / ARTISTS).toBeGreaterThan(0.87);
    }
  });

  it('the more was named the surer it is, but never surer than a screen allows', () => {
    const spreads = [8, 40, 400].map((count) => eyeOf(practiced(0.4, count, 5)).sdLn);
    expect(spreads[0]).toBeGreaterThan(spreads[1]!);
    expect(spreads[1]).toBeGreaterThan(spreads[2]!);
    expect(spreads[2]).toBeGreaterThanOrEqual(0.15);
  });

  it('readings in words are corrected by it', () => {
    const eye = { ln: 0.4, sdLn: 0.16, spreadLn: 0.4 };
    const plain = measured({ kind: 'words', stage: 'trace' })!;
    const corrected = measured({ kind: 'words', stage: 'trace', eye })!;
    expect(Math.log(corrected.viscosityPaS / plain.viscosityPaS)).toBeCloseTo(-0.4, 9);
    expect(corrected.sdLn).toBeLessThan(plain.sdLn);
  });

  it('an artist who sees paint too thick gets cups nearer to the truth once the eye was practiced', () => {
    const random = seededRandom(77);
    const squares = { plain: 0, practiced: 0 };
    for (let artist = 0; artist < 60; artist += 1) {
      const bias = 0.35 * gaussian(random);
      const known = eyeOf(practiced(bias, 40, 900 + artist));
      const truth = Math.log(0.3 + 2 * random());
      for (const [way, eye] of [
        ['plain', null],
        ['practiced', { ln: known.ln, sdLn: known.sdLn, spreadLn: known.spreadLn }],
      ] as const) {
        const readings = Array.from({ length: 4 }, (_, index): ReadingRecord => {
          const seen = truth + bias + 0.5 * gaussian(seededRandom(31 * artist + index));
          return {
            ...{ id: `${index}`, cupId: 'cup', raceId: null, at: '', struck: false },
            contents: [{ ingredientId: 'paint', mg: 40_000 }],
            measure: { kind: 'words', stage: stageOf(Math.exp(seen)).name, eye },
          };
        });
        const found = thicknessOf(learn([CUP], readings), CUP.ingredients, [40_000]);
        squares[way] += (Math.log(found.viscosityPaS) - truth) ** 2;
      }
    }
    expect(squares.practiced).toBeLessThan(0.8 * squares.plain);
  });

  it('an eye that was practiced since holds for what was said before', () => {
    const said = (eye: object | null): ReadingRecord =>
      ({
        ...{ id: 'x', cupId: 'cup', raceId: null, at: '', struck: false },
        contents: [{ ingredientId: 'paint', mg: 40_000 }],
        measure: { kind: 'words', stage: 'trace', ...(eye && { eye }) },
      }) as ReadingRecord;
    const eye = { ln: 0.5, sdLn: 0.15, spreadLn: 0.4 };
    const of = (...readings: ReadingRecord[]) =>
      thicknessOf(learn([CUP], readings), CUP.ingredients, [40_000]).viscosityPaS;
    expect(of(said(null), { ...said(eye), id: 'y' })).toBeLessThan(of(said(null)));
    expect(of(said(null), { ...said(eye), id: 'y' })).toBeCloseTo(
      of({ ...said(eye), id: 'y' }, said(null)),
      6,
    );
  });
});

const CUP = {
  id: 'cup',
  ingredients: [
    {
      id: 'paint',
      material: {
        ...{ materialId: 'paint', name: 'paint', kind: 'flow-conditioner', viscosityTrust: 'typical' },
        ...{ viscosityPaS: 1, densityGPerMl: 1.1 },
      },
    },
  ],
} as unknown as LearnCup;

describe('puddles', () => {
  it('grow as Huppert has it: eight times the grams, 8^(3/8) the radius', () => {
    expect(puddleRadiusMm(16, 1.5) / puddleRadiusMm(2, 1.5)).toBeCloseTo(8 ** (3 / 8), 9);
  });

  it('are judged from a spoonful to a small cup', () => {
    const grams = puddlesToJudge(5, seededRandom(1));
    expect(Math.min(...grams)).toBeLessThan(4);
    expect(Math.max(...grams)).toBeGreaterThan(12);
  });

  it('exact is all points, a factor of two none, too much counts as too little', () => {
    expect(scoreAmounts([{ shown: 8, said: 8 }])).toBe(100);
    expect(scoreAmounts([{ shown: 8, said: 16 }])).toBe(0);
    const off = (said: number) => scoreAmounts([{ shown: 8, said }]);
    expect(off(10)).toBe(off(6.4));
    expect(meanFactor([{ shown: 8, said: 10 }])).toBeCloseTo(1.25, 9);
  });

  it('a stream runs on while the cup is tipped, never back', () => {
    for (let seed = 1; seed < 40; seed += 1) {
      const stream = streamOf(seededRandom(seed));
      let before = 0;
      for (let t = 0; t < 5; t += 0.05) {
        const now = ranOut(stream, t);
        expect(now).toBeGreaterThanOrEqual(before - 1e-12);
        before = now;
      }
      expect(before).toBeGreaterThan(8);
    }
  });

  it('alike is even', () => {
    expect(unevenness([8, 8, 8])).toBe(0);
    expect(unevenness([6, 8, 10])).toBeCloseTo(0.25, 9);
  });
});
