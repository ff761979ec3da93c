import fc from 'fast-check';
import { bloomOf, breatheOut } from '../../../testing/benchFilm.ts';
import { compiledFilmFromFile } from '../../../testing/compiledFilm.ts';
import { advance, filmClock } from './advance.ts';
import { blowOn } from './blow.ts';
import { LEVEL } from './filmRun.ts';
import { filmGrid } from './grid.ts';
import { plainFilm, type FilmKernel, type MakeKernel } from './plainKernel.ts';

const KERNELS = [
  ['plain', plainFilm],
  ['compiled', compiledFilmFromFile],
] as const;
const grid = filmGrid({ columns: 12, rows: 12, cellM: 1.5e-3, edge: 'open' });
const LAYERS = [
  { viscosityPaS: 0.6, densityKgM3: 1100 },
  { viscosityPaS: 0.6, densityKgM3: 1100 },
];
const film = (make: MakeKernel) => make(grid, LAYERS, { tauHalfPa: 3, isCrisp: true });
const isSound = ({ fields }: FilmKernel) =>
  fields.thickness.every((field) => field.every((h) => Number.isFinite(h) && h >= 0));

describe.each(KERNELS)('the %s film stays sound', (_, make) => {
  it('where next to nothing is left of a paint, down to the smallest numbers there are', () => {
    const least = fc.oneof(
      fc.constant(0),
      fc.integer({ min: 1, max: 9 }).map((times) => times * 5e-324),
      fc.integer({ min: -320, max: -11 }).map((power) => 10 ** power),
    );
    fc.assert(
      fc.property(fc.array(least, { minLength: grid.length, maxLength: grid.length }), (thin) => {
        const kernel = film(make);
        kernel.fields.thickness[0]!.fill(3e-3);
        kernel.fields.thickness[1]!.set(thin);
        blowOn(kernel.fields, {
          ...{ exitSpeedMS: 30, exitDiameterMm: 12, distanceMm: 60, slantDeg: 40, directionDeg: 45 },
          ...{ xMm: 9, yMm: 9 },
        });
        for (let count = 0; count < 8; count += 1) kernel.step(3e-3, { ...LEVEL, isBlown: true }, count);
        expect(isSound(kernel)).toBe(true);
      }),
      { numRuns: 40 },
    );
  });
});

describe('a step that yields NaN', () => {
  /** A kernel whose steps fail while `fails` says so, and leave a mess behind. */
  const failing = (fails: (seconds: number) => boolean): FilmKernel => {
    const kernel = film(plainFilm);
    kernel.fields.thickness[0]!.fill(2e-3);
    return {
      fields: kernel.fields,
      step(seconds, drive, count) {
        if (!fails(seconds)) return kernel.step(seconds, drive, count);
        kernel.fields.thickness[0]!.fill(NaN);
        return NaN;
      },
    };
  };

  it('is undone and retried at half its length until all the time has passed', () => {
    const kernel = failing((seconds) => seconds > 1e-3);
    const clock = filmClock();
    advance(kernel, clock, 0.05, LEVEL);
    expect(clock.seconds).toBeCloseTo(0.05, 9);
    expect(isSound(kernel)).toBe(true);
  });

  it('says so when nothing helps, and leaves the paint as it last was', () => {
    const kernel = failing(() => true);
    expect(() => advance(kernel, filmClock(), 0.05, LEVEL)).toThrow(/can't be computed any further/);
    expect(kernel.fields.thickness[0]!.every((h) => h === 2e-3)).toBe(true);
  });
});

it('the film converges as its steps get shorter: half steps come nearer to quarter ones than whole ones do', () => {
  const shorter =
    (parts: number): MakeKernel =>
    (...given) => {
      const kernel = compiledFilmFromFile(...given);
      return {
        fields: kernel.fields,
        step: (seconds, drive, count) =>
          Array.from({ length: parts }, (_, part) =>
            kernel.step(seconds / parts, drive, parts * count + part),
          ).at(-1)!,
      };
    };
  const blown = (parts: number) => {
    const bloom = bloomOf(shorter(parts), 64);
    for (const directionDeg of [0, 154]) breatheOut(bloom, directionDeg);
    return bloom.kernel.fields.thickness;
  };
  const [whole, half, quarter] = [blown(1), blown(2), blown(4)] as const;
  const apart = (one: readonly Float64Array[], other: readonly Float64Array[]) =>
    one.reduce(
      (sum, field, layer) =>
        sum + field.reduce((all, h, cell) => all + Math.abs(h - other[layer]![cell]!), 0),
      0,
    );
  const all = apart(
    quarter,
    quarter.map((field) => new Float64Array(field.length)),
  );
  expect(apart(whole, quarter) / all).toBeLessThan(0.05);
  expect(apart(half, quarter)).toBeLessThan(0.6 * apart(whole, quarter));
});
