import fc from 'fast-check';
import Quantities from 'js-quantities';
import { InputError } from '../error/index.ts';
import { convert } from './convert.ts';
import { UNITS } from './definitions.ts';

describe('the unit constants of NIST SP 811 and Handbook 44 (values from memory)', () => {
  it.each([
    ['tsp', 'ml', 4.92892159375],
    ['tbsp', 'ml', 14.78676478125],
    ['fl oz', 'ml', 29.5735295625],
    ['oz', 'g', 28.349523125],
    ['lb', 'g', 453.59237],
    ['in', 'mm', 25.4],
  ])('1 %s is %f of the metric unit', (from, to, expected) => {
    expect(convert(1, from, to)).toBeCloseTo(expected, 11);
  });

  it('a metric drop is 0.05 ml, so 30 drops are 1.5 ml (common practice)', () => {
    expect(convert(30, 'drops', 'ml')).toBeCloseTo(1.5, 12);
  });

  it('freezing and boiling water stand at 32 and 212 F', () => {
    expect(convert(0, 'C', 'F')).toBeCloseTo(32, 10);
    expect(convert(100, 'C', 'F')).toBeCloseTo(212, 10);
    expect(convert(-40, 'F', 'C')).toBeCloseTo(-40, 10);
    expect(convert(20, 'C', 'K')).toBeCloseTo(293.15, 10);
  });
});

describe('against js-quantities, a units library of its own', () => {
  it.each([
    ['oz', 'g', 'oz', 'g'],
    ['lb', 'kg', 'lb', 'kg'],
    ['tsp', 'ml', 'teaspoon', 'ml'],
    ['tbsp', 'ml', 'tablespoon', 'ml'],
    ['fl oz', 'ml', 'floz', 'ml'],
    ['in', 'cm', 'in', 'cm'],
    ['mPa.s', 'Pa.s', 'cP', 'Pa*s'],
  ])('%s to %s agrees', (from, to, theirFrom, theirTo) => {
    const theirs = Quantities(1, theirFrom).to(theirTo).scalar;
    expect(convert(1, from, to) / theirs).toBeCloseTo(1, 5);
  });
});

describe('between weight and volume', () => {
  it('uses the density: 10 ml of a paint of 1.2 g/ml weigh 12 g', () => {
    expect(convert(10, 'ml', 'g', 1.2)).toBeCloseTo(12, 12);
    expect(convert(12, 'g', 'ml', 1.2)).toBeCloseTo(10, 12);
  });

  it('asks for the density when it is missing', () => {
    expect(() => convert(1, 'oz', 'ml')).toThrow(
      expect.objectContaining({ field: 'densityGPerMl', message: expect.stringContaining('fl oz') }),
    );
    expect(() => convert(1, 'ml', 'g', 0)).toThrow(expect.objectContaining({ field: 'densityGPerMl' }));
  });
});

describe('bad units', () => {
  it('asks how large a smidgen is, since spoon sets disagree', () => {
    expect(() => convert(1, 'smidgen', 'ml')).toThrow(/1\/32.*1\/16/);
    expect(convert(2, 'smidgen 1/32', 'smidgen 1/16')).toBeCloseTo(1, 12);
  });

  it('names the field and the known units', () => {
    expect(() => convert(1, 'g', 'stone')).toThrow(InputError);
    expect(() => convert(1, 'g', 'stone')).toThrow(expect.objectContaining({ field: 'to' }));
    expect(() => convert(1, 'g', 'mm')).toThrow(/weight|mass/);
    expect(() => convert(Number.NaN, 'g', 'oz')).toThrow(expect.objectContaining({ field: 'value' }));
  });

  it('folds the ways people write a name', () => {
    expect(convert(1, 'Fl-Oz', 'ML')).toBe(convert(1, 'floz', 'ml'));
  });
});

it('every unit comes back to where it started through any other of its kind', () => {
  const pairs = UNITS.flatMap((a) =>
    UNITS.filter((b) => b.quantity === a.quantity).map((b) => [a, b] as const),
  );
  fc.assert(
    fc.property(
      fc.constantFrom(...pairs),
      fc.double({ min: -1e6, max: 1e6, noNaN: true }),
      ([a, b], value) => {
        const back = convert(convert(value, a.name, b.name), b.name, a.name);
        expect(Math.abs(back - value)).toBeLessThanOrEqual(1e-9 * Math.max(1, Math.abs(value)));
      },
    ),
  );
});
