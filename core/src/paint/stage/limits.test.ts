import { LIMITS } from './limits.ts';
import { AIMS, aimsOf, NO_AIMS, TECHNIQUES, thicknessWindows, windowFor } from './index.ts';

/** A change of a line of the trade shall be seen: the table is written down once more. */
it('the lines are where the trade draws them (common practice, no published source)', () => {
  expect(LIMITS).toEqual({
    activatorToColors: { aim: 1 / 3, most: 0.6 },
    alikeRatio: 1.35,
    activatorShare: { least: 0.05, aim: 0.1, most: 0.2 },
    sheetMm: { thin: 0.12, aim: 0.25, thick: 0.5 },
    colorGPerCm2: { aim: 0.26 },
    pillowMm: { least: 2.5, aim: 3 },
    dentShare: 0.9,
    straightDownDeg: 70,
    spreadsBelowDeg: 45,
    colorRatio: { most: 1.6 },
    neighborsLose: { most: 0.45 },
    neighborRatio: { most: 1.35 },
    denser: 0.03,
    sinks: 0.1,
    littleOfColor: 0.6,
    baseOfFilm: { least: 0.6 },
    runOff: { tiltDeg: 30, seconds: 30 },
    airSPerDm2: { least: 0.5, flowerAim: 3, faceAim: 1.4, most: 9 },
    waterFraction: { most: 0.3, mostWithWeakBinder: 0.22 },
    spinRpm: { most: 60 },
    shortShare: 0.02,
    filmMm: { thin: 0.45, thick: 2.6 },
    wetPaintMm: { most: 3.8 },
    covered: { full: 0.85, space: 0.8, ground: 0.8 },
    patchDifference: { hides: 12, shows: 25 },
    muchOfColor: 1.5,
    baseMuch: { most: 1.8 },
    middleMm: { thick: 4.5 },
    spinShearPa: { most: 20 },
    driftMm: { most: 5 },
    restHours: { least: 1, aim: 8 },
  });
});

it.each(TECHNIQUES)(
  '%s: what is aimed at lies inside its window, and what can be aimed at is known',
  (technique) => {
    for (const { thinPaS, thickPaS, aim } of thicknessWindows(technique)) {
      expect(aim.thinPaS).toBeGreaterThanOrEqual(thinPaS);
      expect(aim.thickPaS).toBeLessThanOrEqual(thickPaS);
    }
    for (const key of aimsOf(technique)) expect(Object.keys(AIMS)).toContain(key);
  },
);

it('thick, medium and thin Dutch each have their window, and not chosen all three', () => {
  const span = (thickness: 'thick' | 'medium' | 'thin' | null) =>
    windowFor('dutch', 'color', { ...NO_AIMS, thickness })!;
  expect(span('thin').thickPaS).toBeLessThan(span('medium').thickPaS);
  expect(span('medium').thickPaS).toBeLessThan(span('thick').thickPaS);
  expect(span(null)).toMatchObject({ thinPaS: span('thin').thinPaS, thickPaS: span('thick').thickPaS });
  expect(windowFor('bloom', 'medium')).toBeUndefined();
});
