import { plainFilm } from './plainKernel.ts';
import { flowOn, liveFilm } from './live.ts';
import { LEVEL, spun, tilted } from './filmRun.ts';
import { filmGrid } from './grid.ts';
import { layFilm } from './lay.ts';
import { volumeM3 } from './measure.ts';
import { freshSides, hungM3, runOver, wetShare } from './sides.ts';

const PAINT = { viscosityPaS: 1, densityKgM3: 1100 };

/** A strip with a film on it, and sides all round. */
function strip(thicknessMm: number, depthMm = 20, columns = 60, rows = 4) {
  const grid = filmGrid({ columns, rows, cellM: 2e-3, edge: 'open' });
  const kernel = plainFilm(grid, [PAINT], { tauHalfPa: null, isCrisp: false });
  layFilm(grid, kernel.fields.thickness[0]!, thicknessMm);
  const sides = freshSides(kernel.fields, depthMm / 1000);
  return { film: liveFilm(kernel, null, sides), sides, grid, fields: kernel.fields };
}

it('a film that the rim holds stays; a deeper one runs over until the rim is wet, and pulls the rest after it', () => {
  const [held, over] = [strip(1.5, 20, 30, 30), strip(2.5, 20, 30, 30)];
  for (const { film } of [held, over]) flowOn(film, 20, LEVEL);
  expect(wetShare(held.sides)).toBe(0);
  expect(held.fields.lost[0]).toBe(0);
  expect(wetShare(over.sides)).toBe(1);
  const middle = over.grid.stride * 17 + 17;
  const rim = over.grid.stride * 17 + 2;
  const h = over.fields.thickness[0]!;
  expect(h[rim]).toBeLessThan(0.6 * h[middle]!);
  // Far below what the rim would have held, had it stayed dry.
  expect(h[rim]).toBeLessThan(over.sides.holdsM);
});

it('nothing is lost from the books: film, sides and drips are what was laid', () => {
  const { film, fields, grid, sides } = strip(2.5, 4, 30, 30);
  const laid = volumeM3(grid, fields.thickness[0]!);
  for (const drive of [LEVEL, tilted(20, 90), { ...LEVEL, ...spun(60, 30, 30) }]) flowOn(film, 5, drive);
  const left = volumeM3(grid, fields.thickness[0]!);
  expect((left + fields.lost[0]!) / laid).toBeCloseTo(1, 9);
  const hangs = hungM3(sides, grid);
  expect(hangs).toBeGreaterThan(0);
  expect(hangs).toBeLessThan(fields.lost[0]!);
});

it('over a wet rim a film drains by the exact solution of a current that runs off its edge', () => {
  const { film, fields, grid, sides } = strip(3, 50);
  // Only the right end is open: paint hangs there, the other edges hold whatever stands on them.
  const ends = sides.edges.filter(({ direction, way }) => direction === 0 && way > 0);
  const open = { ...sides, edges: ends, hung: new Float64Array(ends.length).fill(1e-5) };
  const alone = { ...film, sides: { ...open, reach: new Float64Array(ends.length).fill(0.05) } };
  flowOn(alone, 900, LEVEL);
  const long = grid.columns * grid.cellM;
  const nu = PAINT.viscosityPaS / PAINT.densityKgM3;
  /*
   * h = (3 nu L^2 / (g t))^(1/3) F(x/L), (F^3 F')' = -F/3, F = 0 at the edge, F' = 0 at the wall: its mean is 0.7459 (worked out by hand from the
   * lubrication equation; the integral is a beta function).
   */
  const exact = 0.7459 * Math.cbrt((3 * nu * long ** 2) / (9.81 * 900));
  const mean = volumeM3(grid, fields.thickness[0]!) / (long * grid.rows * grid.cellM);
  expect(mean / exact).toBeGreaterThan(0.97);
  expect(mean / exact).toBeLessThan(1.04);
});

describe('what hangs', () => {
  const hanging = (depthMm: number, areaM2: number, seconds: number) => {
    const { sides, fields } = strip(0, depthMm);
    sides.hung.fill(areaM2);
    for (let at = 0; at < seconds; at += 0.05) runOver(sides, fields, 0.05, LEVEL);
    return sides;
  };

  it('runs down like Huppert 1982 says of a slope (from memory)', () => {
    const [area, seconds] = [4e-6, 20];
    const { reach } = hanging(400, area, seconds);
    const exact = Math.cbrt((9 / 4) * area ** 2 * 9.81 * (1100 / 1) * seconds);
    expect(reach[0]! / exact).toBeCloseTo(1, 2);
  });

  it('and drips like Jeffreys 1930 says (from memory)', () => {
    const seconds = 300;
    const { hung, depthM } = hanging(20, 4e-5, seconds);
    const exact = (2 / 3) * Math.sqrt((1 * 0.02) / (1100 * 9.81 * seconds));
    expect(hung[0]! / depthM / exact).toBeCloseTo(1, 2);
  });
});

it('what a fast spin flings off does not hang', () => {
  const { film, sides } = strip(1.5, 20, 30, 30);
  flowOn(film, 3, { ...LEVEL, ...spun(240, 30, 30) });
  expect(film.kernel.fields.lost[0]).toBeGreaterThan(0);
  expect(hungM3(sides, film.kernel.fields.grid)).toBeLessThan(0.05 * film.kernel.fields.lost[0]!);
});
