import { gaussian, seededRandom } from '../../base/random/index.ts';
import { runCalculation } from '../../base/calculation/index.ts';
import { stackForecast, type StackLayer } from '../../piece/stack/index.ts';
import { expectedCells, forecastError, learnCells, type MeasuredCells } from './index.ts';
import { ownCellsCalculation } from './ownCells.calculation.ts';

const under: StackLayer = { thicknessMm: 2, viscosityPaS: 2, densityKgM3: 1070 };
const heavy: StackLayer = { thicknessMm: 0.3, viscosityPaS: 0.5, densityKgM3: 1120 };
const light = { ...heavy, densityKgM3: 1040 };

describe('what the laws expect', () => {
  it('by weight the spacing of the stack’s law', () => {
    expect(expectedCells([under, heavy])).toEqual({
      mm: expect.closeTo(2.484, 2),
      by: 'weight',
    });
  });

  it('of a light sheet that opens by itself the same spacing, whatever its weight', () => {
    const sheet = expectedCells([under, { ...light, isSheet: true }])!;
    expect(sheet.by).toBe('sheet');
    expect(sheet.mm).toBeCloseTo(2.484, 1);
    const thick = expectedCells([under, { ...light, thicknessMm: 0.6, isSheet: true }])!;
    expect(thick.mm).toBeGreaterThan(1.4 * sheet.mm);
  });

  it('what is usual where a metallic throws cells, and nothing where nothing opens', () => {
    expect(expectedCells([under, { ...light, isMetallic: true }])).toEqual({ mm: 2.5, by: 'metallic' });
    expect(stackForecast([under, light])[0]!.verdict).toBe('holds');
    expect(expectedCells([under, light])).toBeNull();
    expect(expectedCells([under])).toBeNull();
  });

  it('cells of the uppermost sheet are seen, not those below', () => {
    const lower = { ...heavy, thicknessMm: 1 };
    const seen = expectedCells([under, lower, { ...light, thicknessMm: 0.2, isSheet: true }])!;
    expect(seen.by).toBe('sheet');
  });
});

/** A studio whose cells come out otherwise than the law says, by technique and activator, with chance. */
function studio(random: () => number, count: number) {
  const spread = () => gaussian(random);
  const effect = {
    studio: 0.6 * spread(),
    bloom: 0.25 * spread(),
    dutch: 0.25 * spread(),
    A1: 0.3 * spread(),
    A3: 0.3 * spread(),
  };
  const within = 0.1 + 0.4 * random();
  return Array.from({ length: count }, (): MeasuredCells => {
    const technique = random() < 0.7 ? 'bloom' : 'dutch';
    const activator = random() < 0.5 ? 'A1' : 'A3';
    const mm = 1 + 2 * random();
    const ln = effect.studio + effect[technique] + effect[activator] + within * spread();
    return { technique, activator, mm, by: 'sheet', measuredMm: mm * Math.exp(ln) };
  });
}

describe('one’s own pours', () => {
  it('nine of ten further pours come out in the range, from 0, 3, 9 and 20 measured ones', () => {
    const random = seededRandom(41);
    for (const count of [0, 3, 9, 20]) {
      let inside = 0;
      for (let index = 0; index < 300; index += 1) {
        const [next, ...seen] = studio(random, count + 1);
        const own = learnCells(seen)(next!, next!);
        if (own.low <= next!.measuredMm && next!.measuredMm <= own.high) inside += 1;
      }
      expect([count, inside / 300 > 0.86, inside / 300 <= 0.96]).toEqual([count, true, true]);
    }
  });

  it('bring the forecast nearer: each left out in turn, the error falls in most studios', () => {
    const random = seededRandom(5);
    let better = 0;
    for (let index = 0; index < 60; index += 1) {
      const { lawLn, ownLn } = forecastError(studio(random, 12))!;
      if (ownLn < lawLn) better += 1;
    }
    expect(better).toBeGreaterThan(48);
  });

  it('says from how many pours, and how many of them with the same activator', () => {
    const pours: MeasuredCells[] = [
      { technique: 'bloom', activator: 'A1', mm: 2, by: 'sheet', measuredMm: 3 },
      { technique: 'bloom', activator: 'A3', mm: 2, by: 'sheet', measuredMm: 3.2 },
      { technique: 'dutch', activator: null, mm: 2, by: 'metallic', measuredMm: 2.2 },
    ];
    const own = learnCells(pours)({ mm: 2, by: 'sheet' }, { technique: 'bloom', activator: 'A1' });
    expect(own).toMatchObject({ n: 2, sameActivator: 1 });
    expect(own.low).toBeLessThan(own.mm);
    expect(own.mm).toBeGreaterThan(2);
    expect(own.high).toBeGreaterThan(own.mm);
    const nothing = learnCells([])({ mm: 2, by: 'sheet' }, { technique: 'bloom', activator: null });
    expect(nothing).toMatchObject({ n: 0, sameActivator: 0, mm: 2 });
    expect(nothing.high / nothing.low).toBeGreaterThan(4);
    expect(forecastError(pours.slice(1, 2))).toBeNull();
  });

  it('on the bench, no pour at all is an answer too', () => {
    const { expected } = ownCellsCalculation.example;
    expect(runCalculation(ownCellsCalculation, { expected, pours: [] })).toMatchObject({
      mm: 2.1,
      n: 0,
      leftOut: null,
    });
  });
});
