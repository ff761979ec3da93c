import fc from 'fast-check';
import { splitMg, toG, toMg } from './mass.ts';

it('keeps grams to the milligram', () => {
  expect(toMg(11.25)).toBe(11_250);
  expect(toG(11_250)).toBe(11.25);
});

it('gives left-over milligrams to the largest remainders', () => {
  expect(splitMg(100, [1, 1, 1])).toEqual([34, 33, 33]);
  expect(splitMg(10, [0, 1])).toEqual([0, 10]);
});

it('splits without losing or inventing a milligram, each part within one of its exact share', () => {
  const weights = fc.array(fc.double({ min: 0, max: 100, noNaN: true }), { minLength: 1, maxLength: 8 });
  fc.assert(
    fc.property(fc.integer({ min: 0, max: 5_000_000 }), weights, (totalMg, given) => {
      const sum = given.reduce((a, b) => a + b, 0);
      fc.pre(sum > 1e-6);
      const parts = splitMg(totalMg, given);
      expect(parts.reduce((a, b) => a + b, 0)).toBe(totalMg);
      parts.forEach((part, index) => {
        expect(Math.abs(part - (totalMg * given[index]!) / sum)).toBeLessThan(1.001);
      });
    }),
  );
});
