import fc from 'fast-check';
import { actualParts, partsFor, portion } from './portion.ts';
import { findSchool, SCHOOLS, schoolsFor } from './school.ts';

const grams = (schoolId: string, finish: 'plain' | 'metallic' | 'pearl', totalMg: number) =>
  portion(partsFor(findSchool(schoolId)!, finish), totalMg).map((mg) => mg / 1000);

describe('schools of mixing (common practice, no published source)', () => {
  it('measured Dutch: 56.25 g are 30 g conditioner, 15 g paint and 11.25 g water', () => {
    expect(grams('D2', 'plain', 56_250)).toEqual([30, 15, 11.25]);
  });

  it('measured Dutch: metallics and pearls take 1 part of water', () => {
    expect(grams('D2', 'metallic', 60_000)).toEqual([30, 15, 15]);
    expect(grams('D2', 'pearl', 60_000)).toEqual([30, 15, 15]);
  });

  it('bloom medium 3:1: a 60 g bottle takes 30 g base, 10 g varnish and 20 g paint', () => {
    expect(grams('B1', 'plain', 60_000)).toEqual([30, 10, 20]);
  });

  it('activator 3:1: 20 g are 15 g conditioner and 5 g paint', () => {
    expect(grams('A1', 'plain', 20_000)).toEqual([15, 5]);
  });

  it('every technique has a recipe for each of its cups', () => {
    expect(schoolsFor('dutch', 'base').length).toBeGreaterThan(0);
    expect(schoolsFor('dutch', 'color').length).toBeGreaterThan(0);
    for (const role of ['pillow', 'color', 'activator'] as const) {
      expect(schoolsFor('bloom', role).length).toBeGreaterThan(0);
    }
    expect(schoolsFor('dutch', 'pillow')).toEqual([]);
  });
});

it('scaling a recipe keeps its ratios to the milligram', () => {
  fc.assert(
    fc.property(
      fc.constantFrom(...SCHOOLS),
      fc.integer({ min: 1_000, max: 500_000 }),
      fc.integer({ min: 1, max: 10 }),
      (school, totalMg, factor) => {
        const once = portion(school.parts, totalMg);
        const scaled = portion(school.parts, totalMg * factor);
        scaled.forEach((mg, index) =>
          expect(Math.abs(mg - once[index]! * factor)).toBeLessThanOrEqual(factor + 1),
        );
      },
    ),
  );
});

it('refuses an amount that is no whole number of milligrams above zero', () => {
  for (const totalMg of [0, -5, 1.5, Number.NaN]) {
    expect(() => portion([{ parts: 1 }], totalMg)).toThrow(expect.objectContaining({ field: 'totalMg' }));
  }
});

it('reads the parts back from what the scale showed, with the paint as 1', () => {
  expect(
    actualParts([
      { role: 'medium', mg: 30_000 },
      { role: 'paint', mg: 15_000 },
      { role: 'water', mg: 11_250 },
    ]),
  ).toEqual([2, 1, 0.75]);
  expect(
    actualParts([
      { role: 'medium', mg: 500 },
      { role: 'water', mg: 250 },
    ]),
  ).toEqual([1, 0.5]);
  expect(actualParts([{ role: 'paint', mg: 0 }])).toEqual([0]);
});
