import fc from 'fast-check';
import { resinAmounts, type ResinCoat } from './index.ts';
import { resinCalculation } from './resin.calculation.ts';

const coat: ResinCoat = resinCalculation.example;

describe('a coat of resin (exact arithmetic)', () => {
  it('worked out by hand: 30 x 40 cm with sides of 2 cm, 1.5 mm and 15 % drips, 1 to 1 by volume', () => {
    // (120000 + 1400 x 20) mm2 x 1.5 mm x 1.15 = 255 300 mm3.
    const { volumeMl, aMl, bMl, aG, bG, pours } = resinAmounts(coat);
    expect(volumeMl).toBeCloseTo(255.3, 9);
    expect(aMl).toBeCloseTo(127.65, 9);
    expect(bMl).toBeCloseTo(127.65, 9);
    expect(aG).toBeCloseTo(142.968, 9);
    expect(bG).toBeCloseTo(130.203, 9);
    expect(pours).toBe(1);
  });

  it('worked out by hand: 100 to 30 by mass', () => {
    // 100 g are 80 ml at 1.25, 30 g are 30 ml at 1: 110 ml hold 100 g and 30 g.
    const { aG, bG, aMl, bMl } = resinAmounts({
      ...coat,
      ...{ areaMm2: 110_000, edgeMm: 0, thicknessMm: 1, dripShare: 0 },
      ...{ ratio: { by: 'mass', a: 100, b: 30 }, densityAGPerMl: 1.25, densityBGPerMl: 1 },
    });
    expect([aG, bG, aMl, bMl].map((each) => Number(each.toFixed(9)))).toEqual([100, 30, 80, 30]);
  });

  it.each([
    [3, 1],
    [3.0000000001, 1],
    [3.01, 2],
    [6, 2],
    [9.5, 4],
    [0.5, 1],
  ])('%d mm are poured in %d, none deeper than 3 mm', (thicknessMm, pours) => {
    expect(resinAmounts({ ...coat, thicknessMm }).pours).toBe(pours);
  });

  it('keeps the kit’s ratio and loses nothing, whatever the kit', () => {
    const amount = fc.double({ min: 0.1, max: 100, noNaN: true });
    const density = fc.double({ min: 0.8, max: 2, noNaN: true });
    fc.assert(
      fc.property(
        amount,
        amount,
        density,
        density,
        fc.constantFrom('volume', 'mass'),
        (a, b, rhoA, rhoB, by) => {
          const found = resinAmounts({
            ...coat,
            ratio: { by, a, b },
            densityAGPerMl: rhoA,
            densityBGPerMl: rhoB,
          });
          const [partA, partB] = by === 'volume' ? [found.aMl, found.bMl] : [found.aG, found.bG];
          expect(partA / partB / (a / b)).toBeCloseTo(1, 9);
          expect(found.aMl + found.bMl).toBeCloseTo(found.volumeMl, 9);
          expect(found.aG / rhoA + found.bG / rhoB).toBeCloseTo(found.volumeMl, 9);
        },
      ),
    );
  });

  it.each([
    [{ ratio: { by: 'volume', a: 0, b: 1 } }, 'ratio.a'],
    [{ ratio: { by: 'mass', a: 1, b: -2 } }, 'ratio.b'],
    [{ thicknessMm: 0 }, 'thicknessMm'],
    [{ dripShare: -0.1 }, 'dripShare'],
    [{ maxPourMm: 0 }, 'maxPourMm'],
    [{ areaMm2: Number.NaN }, 'areaMm2'],
    [{ densityBGPerMl: 0 }, 'densityBGPerMl'],
  ] as const)('%j is refused at %s', (changes, field) => {
    expect(() => resinAmounts({ ...coat, ...changes })).toThrow(expect.objectContaining({ field }));
  });
});
