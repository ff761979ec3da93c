import fc from 'fast-check';
import { parseDecimal } from './decimal.ts';

it.each([
  ['11.25', 11.25],
  ['11,25', 11.25],
  [' 1 234,5 ', 1234.5],
  ["1'234.5", 1234.5],
  ['1.234,56', 1234.56],
  ['1,234.56', 1234.56],
  ['-0,5', -0.5],
  ['−3', -3],
  ['.5', 0.5],
  ['7.', 7],
])('reads "%s"', (text, expected) => {
  expect(parseDecimal(text)).toBe(expected);
});

it.each(['', ' ', 'abc', '1.2.3', '1,2,3', '12,34.5', '1.234,5.6', '1e3', '5 g', '--2', '1.23,4,5'])(
  'does not guess at "%s"',
  (text) => {
    expect(parseDecimal(text)).toBeUndefined();
  },
);

it('reads every number with a point or a comma alike', () => {
  fc.assert(
    fc.property(fc.integer({ min: -1e7, max: 1e7 }), fc.integer({ min: 0, max: 999 }), (whole, part) => {
      const digits = String(part).padStart(3, '0');
      expect(parseDecimal(`${whole},${digits}`)).toBe(parseDecimal(`${whole}.${digits}`));
    }),
  );
});
