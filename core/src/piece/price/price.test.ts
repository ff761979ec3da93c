import fc from 'fast-check';
import { reckon, workedHours, type PriceRule } from './index.ts';

const costs = { paintCents: 600, supportCents: 900, coatCents: 500, otherCents: 0, hours: 2 };
const rule: PriceRule = { by: 'hours', centsPerHour: 1500, factor: 2, centsPerCm2: 12, wearShare: 0.1 };

describe('what a piece cost and is asked for (arithmetic; the rule is the artist’s)', () => {
  it('worked out by hand, by hours and by area', () => {
    expect(reckon(costs, rule, 900)).toEqual({
      ...{ materialCents: 2000, wearCents: 200, workCents: 3000, costCents: 5200, askedCents: 7400 },
    });
    expect(reckon(costs, { ...rule, by: 'area' }, 900).askedCents).toBe(10_800);
  });

  it('never asks for less than the materials cost (property)', () => {
    const cents = fc.integer({ min: 0, max: 1_000_000 });
    fc.assert(
      fc.property(cents, cents, cents, fc.constantFrom('hours' as const, 'area' as const), (a, b, c, by) => {
        const some = { ...costs, paintCents: a, supportCents: b, coatCents: c };
        const { askedCents, materialCents, wearCents } = reckon(some, { ...rule, by }, 1);
        expect(askedCents).toBeGreaterThanOrEqual(materialCents + wearCents - 1);
      }),
    );
  });

  it.each([
    ['hours', { hours: -1 }, {}],
    ['paintCents', { paintCents: -1 }, {}],
    ['factor', {}, { factor: 0 }],
  ])('says what is wrong with %s', (field, wrongCosts, wrongRule) => {
    expect(() => reckon({ ...costs, ...wrongCosts }, { ...rule, ...wrongRule }, 1)).toThrow(
      expect.objectContaining({ field }),
    );
  });
});

describe('hours at the table', () => {
  const minutes = (...at: number[]) => at.map((minute) => minute * 60_000);

  it('what lies close together is one stretch, a night is none of it', () => {
    expect(workedHours(minutes(0, 10, 25))).toBeCloseTo((2 + 25) / 60, 9);
    expect(workedHours(minutes(0, 10, 900, 905))).toBeCloseTo((2 + 10 + 2 + 5) / 60, 9);
    expect(workedHours([])).toBe(0);
  });
});
