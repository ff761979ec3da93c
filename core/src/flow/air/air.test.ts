import fc from 'fast-check';
import { AIR_TOOLS, settingsOf, bearingName, bearingOf, normalizeDeg } from './index.ts';

it.each([
  [0, 'to the top'],
  [90, 'to the right'],
  [180, 'to the bottom'],
  [270, 'to the left'],
  [350, 'to the top'],
  [-45, 'to the top left'],
])('%d degrees clockwise from the top is %s', (deg, name) => {
  expect(bearingName(deg)).toBe(name);
});

it('a stroke drawn to the right goes to 90 degrees, one drawn down to 180', () => {
  expect(bearingOf(10, 0)).toBeCloseTo(90, 10);
  expect(bearingOf(0, 10)).toBeCloseTo(180, 10);
});

it('any angle comes down to one turn', () => {
  fc.assert(
    fc.property(fc.double({ min: -1e4, max: 1e4, noNaN: true }), (deg) => {
      const normal = normalizeDeg(deg);
      expect(normal).toBeGreaterThanOrEqual(0);
      expect(normal).toBeLessThan(360);
    }),
  );
});

it('every tool has settings and a usual distance', () => {
  for (const { tool } of AIR_TOOLS) expect(settingsOf(tool).length).toBeGreaterThan(0);
});
