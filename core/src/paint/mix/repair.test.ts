import fc from 'fast-check';
import { actualParts } from './parts.ts';
import { bringUp, takeOutAndBringUp } from './repair.ts';
import { topUpG } from './topUp.ts';

const D2 = [2 / 3.75, 1 / 3.75, 0.75 / 3.75];
const cup = (...grams: number[]) => grams.map((inG, index) => ({ inG, share: D2[index]! }));

describe('bringing an over-poured cup up to its recipe', () => {
  it('3 g too much paint in measured Dutch takes 6 g more conditioner and 2.25 g more water', () => {
    const { addG, totalG } = bringUp(cup(30, 18, 11.25), 0);
    expect(addG.map((grams) => Math.round(grams * 1000) / 1000)).toEqual([6, 0, 2.25]);
    expect(totalG).toBeCloseTo(67.5, 6);
  });

  it('a cup within tolerance needs nothing', () => {
    expect(bringUp(cup(30.2, 15, 11.2), 0.03)).toEqual({ addG: [0, 0, 0], totalG: expect.closeTo(56.4, 9) });
  });

  it('a tolerance saves paint', () => {
    expect(bringUp(cup(30, 18, 11.25), 0.05).totalG).toBeLessThan(bringUp(cup(30, 18, 11.25), 0).totalG);
  });

  const mass = fc.double({ min: 0.1, max: 200, noNaN: true });
  const anyCup = fc.array(fc.record({ inG: mass, weight: fc.double({ min: 0.05, max: 5, noNaN: true }) }), {
    minLength: 2,
    maxLength: 5,
  });
  const withShares = (given: readonly { inG: number; weight: number }[]) => {
    const sum = given.reduce((total, each) => total + each.weight, 0);
    return given.map(({ inG, weight }) => ({ inG, share: weight / sum }));
  };

  it('never takes out, balances, and ends with every share within the tolerance', () => {
    fc.assert(
      fc.property(anyCup, fc.double({ min: 0, max: 0.2, noNaN: true }), (given, tolerance) => {
        const parts = withShares(given);
        const { addG, totalG } = bringUp(parts, tolerance);
        expect(Math.min(...addG)).toBeGreaterThanOrEqual(0);
        const finals = parts.map((part, index) => part.inG + addG[index]!);
        expect(Math.abs(finals.reduce((sum, grams) => sum + grams, 0) - totalG)).toBeLessThan(1e-3);
        finals.forEach((grams, index) => {
          const off = Math.abs(grams / (parts[index]!.share * totalG) - 1);
          expect(off).toBeLessThanOrEqual(tolerance + 1e-6);
        });
      }),
    );
  });

  it('nothing smaller would do: 1 % less paint in all breaks a bound', () => {
    fc.assert(
      fc.property(anyCup, fc.double({ min: 0.01, max: 0.2, noNaN: true }), (given, tolerance) => {
        const parts = withShares(given);
        const inG = parts.reduce((sum, part) => sum + part.inG, 0);
        const totalG = bringUp(parts, tolerance).totalG;
        fc.pre(totalG > inG * 1.02);
        const smaller = totalG * 0.99;
        const tooMuch = parts.some((part) => part.inG > (1 + tolerance) * part.share * smaller);
        const least = parts.reduce(
          (sum, part) => sum + Math.max(part.inG, (1 - tolerance) * part.share * smaller),
          0,
        );
        expect(tooMuch || least > smaller).toBe(true);
      }),
    );
  });

  it('says what it needs', () => {
    expect(() => bringUp([], 0)).toThrow(expect.objectContaining({ field: 'parts' }));
    expect(() => bringUp([{ inG: 1, share: 0.4 }], 0)).toThrow(expect.objectContaining({ field: 'parts' }));
    expect(() => bringUp([{ inG: -1, share: 1 }], 0)).toThrow(expect.objectContaining({ field: 'parts' }));
    expect(() => bringUp(cup(1, 1, 1), 0.9)).toThrow(expect.objectContaining({ field: 'tolerance' }));
  });
});

describe('taking a share out of the mixed cup first', () => {
  it('is not needed when the cup holds the repair', () => {
    expect(takeOutAndBringUp(cup(30, 18, 11.25), 100, 0).takeOutG).toBe(0);
  });

  it('ends exactly at what the cup holds, with the recipe restored', () => {
    const parts = cup(30, 18, 11.25);
    const { takeOutG, repair } = takeOutAndBringUp(parts, 60, 0);
    const keep = 1 - takeOutG / 59.25;
    const finals = parts.map((part, index) => part.inG * keep + repair.addG[index]!);
    expect(finals.reduce((sum, grams) => sum + grams, 0)).toBeCloseTo(60, 6);
    expect(finals[0]! / finals[1]!).toBeCloseTo(2, 6);
  });
});

it('parts are read back from what the scale showed, with the paint as 1', () => {
  const parts = [
    { role: 'medium', mg: 30_000 },
    { role: 'paint', mg: 15_000 },
    { role: 'water', mg: 11_250 },
  ];
  expect(actualParts(parts)).toEqual([2, 1, 0.75]);
  expect(actualParts([{ role: 'paint', mg: 0 }])).toEqual([0]);
});

describe('a lidded cup weighed again (common practice: what is missing is water)', () => {
  it('56.25 g that weigh 54 g want 2.25 g of water', () => {
    expect(topUpG(56.25, 54)).toBeCloseTo(2.25, 12);
    expect(topUpG(56.25, 56.3)).toBe(0);
  });

  it('a cup that got heavier was weighed with its vessel', () => {
    expect(() => topUpG(56.25, 64)).toThrow(expect.objectContaining({ field: 'weighedG' }));
    expect(() => topUpG(56.25, -1)).toThrow(expect.objectContaining({ field: 'weighedG' }));
  });
});
