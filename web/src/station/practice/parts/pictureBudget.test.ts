import fc from 'fast-check';
import { FIRST_DENSITY, nextDensity, restMs } from './pictureBudget.ts';

/** Pictures one after the other on a machine that draws so many pixels of the page a millisecond; ms of each. */
function pictures(pixelsMs: number, count: number, finest = 1): number[] {
  let { moving } = FIRST_DENSITY;
  return Array.from({ length: count }, () => {
    const tookMs = (700 * 700 * moving * moving) / pixelsMs;
    ({ moving } = nextDensity(moving, tookMs, finest));
    return tookMs;
  });
}

it('a machine that can draws every picture as fine as its screen, from the second on', () => {
  expect(nextDensity(FIRST_DENSITY.moving, 3, 1)).toEqual({ moving: 1, standing: 1 });
  expect(nextDensity(1, 8, 2).moving).toBe(1.5);
});

it('a weak machine comes down to pictures of 60 ms, unless they are as coarse as can be', () => {
  fc.assert(
    fc.property(fc.double({ min: Math.log(50), max: Math.log(1e6), noNaN: true }), (logPixels) => {
      const pixelsMs = Math.exp(logPixels);
      const least = (700 * 700 * 0.3 * 0.3) / pixelsMs;
      expect(pictures(pixelsMs, 6).at(-1)).toBeLessThanOrEqual(Math.max(60, least) + 1e-6);
    }),
  );
});

it('a picture that stands is never coarser than one that moves, and after each there is a rest', () => {
  fc.assert(
    fc.property(
      fc.double({ min: 0.3, max: 1.5, noNaN: true }),
      fc.double({ min: 0.1, max: 1e5, noNaN: true }),
      (density, tookMs) => {
        const { moving, standing } = nextDensity(density, tookMs, 1.5);
        expect(standing).toBeGreaterThanOrEqual(moving - 1e-9);
        expect(moving).toBeGreaterThanOrEqual(0.3);
        expect(moving).toBeLessThanOrEqual(1.5);
      },
    ),
  );
  expect(restMs(10)).toBe(0);
  expect(restMs(200)).toBe(200);
});
