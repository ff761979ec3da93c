import { fieldName, theirsOf, valueWords } from './conflict.ts';

const METRIC = { mass: 'g', volume: 'ml', length: 'cm', temperature: 'C' } as const;

it('an amount that was changed in two places is said in grams on both sides', () => {
  const there = { version: 3, ingredients: [{ targetMg: 50_000 }, { targetMg: 20_000 }] };
  expect(fieldName('totalMg')).toBe('amount');
  expect(valueWords('totalMg', 80_000, METRIC)).toBe('80\u00a0g');
  expect(valueWords('totalMg', theirsOf('totalMg', there), METRIC)).toBe('70\u00a0g');
  expect(valueWords('totalMg', 80_000, { ...METRIC, mass: 'oz' })).toBe('2.82\u00a0oz');
});

it('other fields are called and told in plain words', () => {
  expect(fieldName('tryNext')).toBe('try next');
  expect(theirsOf('name', { name: 'Rust' })).toBe('Rust');
  expect(theirsOf('totalMg', {})).toBeUndefined();
  expect(['', null, undefined].map((value) => valueWords('note', value, METRIC))).toEqual(
    Array.from({ length: 3 }, () => 'nothing'),
  );
  expect(valueWords('lid', true, METRIC)).toBe('yes');
  expect(valueWords('faults', [1, 2], METRIC)).toBe('2');
  expect(valueWords('plan', {}, METRIC)).toBe('set in another way');
});
