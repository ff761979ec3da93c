import fc from 'fast-check';
import { jetOnPaint } from './index.ts';

const mouth = { exitSpeedMS: 15, exitDiameterMm: 9, distanceMm: 100, slantDeg: 90, paintDensityKgM3: 1150 };
const dryer = { exitSpeedMS: 18, exitDiameterMm: 43, distanceMm: 150, slantDeg: 90, paintDensityKgM3: 1150 };

describe('air on paint (Rajaratnam 1976; Hussein, Capp & George 1994, from memory)', () => {
  it('a mouth at 10 cm, straight: 8.37 m/s, 42.2 Pa, a dent of 3.74 mm', () => {
    const { speedMS, pressurePa, dentMm } = jetOnPaint(mouth);
    expect(speedMS).toBeCloseTo(8.37, 2);
    expect(pressurePa).toBeCloseTo(42.2, 1);
    expect(dentMm).toBeCloseTo(3.74, 2);
  });

  it('a dryer at 15 cm is inside its core: 195 Pa, 17.3 mm straight, 4.3 mm at 30 degrees', () => {
    const straight = jetOnPaint(dryer);
    expect(straight.speedMS).toBe(18);
    expect(straight.pressurePa).toBeCloseTo(195, 0);
    expect(straight.dentMm).toBeCloseTo(17.3, 1);
    expect(jetOnPaint({ ...dryer, slantDeg: 30 }).dentMm).toBeCloseTo(4.3, 1);
  });

  it('further and more slanting never digs deeper', () => {
    const lengths = fc.double({ min: 10, max: 2000, noNaN: true });
    const slants = fc.double({ min: 5, max: 85, noNaN: true });
    fc.assert(
      fc.property(lengths, slants, (distanceMm, slantDeg) => {
        const here = jetOnPaint({ ...mouth, distanceMm, slantDeg }).dentMm;
        expect(jetOnPaint({ ...mouth, distanceMm: distanceMm * 1.2, slantDeg }).dentMm).toBeLessThanOrEqual(
          here,
        );
        expect(jetOnPaint({ ...mouth, distanceMm, slantDeg: slantDeg + 5 }).dentMm).toBeGreaterThan(here);
      }),
    );
  });

  it.each([
    [{ slantDeg: 0 }, 'slantDeg'],
    [{ slantDeg: 95 }, 'slantDeg'],
    [{ distanceMm: 0 }, 'distanceMm'],
    [{ exitSpeedMS: Infinity }, 'exitSpeedMS'],
  ])('refuses %j and names %s', (wrong, field) => {
    expect(() => jetOnPaint({ ...mouth, ...wrong })).toThrow(expect.objectContaining({ field }));
  });
});
