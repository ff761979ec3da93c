import { compiledFilmFromFile } from '../../../testing/compiledFilm.ts';
import { blowOn, calm } from './blow.ts';
import { freshCells, USUAL_CELLS, type CellSettings } from './cells.ts';
import { LEVEL, spun } from './filmRun.ts';
import { filmGrid } from './grid.ts';
import { layDome, layFilm } from './lay.ts';
import { flowOn, liveFilm } from './live.ts';

const layers = [
  { viscosityPaS: 2, densityKgM3: 1080 },
  { viscosityPaS: 1.5, densityKgM3: 1110 },
  { viscosityPaS: 0.6, densityKgM3: 1190 },
];

/** A puddle with a sheet of activator on it, on a base. */
function film(settings: Partial<CellSettings> = {}, sheetMl = 0.5, sheetDensity = 1190) {
  const grid = filmGrid({ columns: 60, rows: 60, cellM: 1.5e-3, edge: 'open' });
  const kernel = compiledFilmFromFile(
    grid,
    layers.map((layer, index) => (index === 2 ? { ...layer, densityKgM3: sheetDensity } : layer)),
    { tauHalfPa: 3, isCrisp: true },
  );
  const { thickness } = kernel.fields;
  layFilm(grid, thickness[0]!, 2.5);
  layDome(grid, thickness[1]!, { xMm: 45, yMm: 45, radiusMm: 26, volumeMl: 2.4 });
  layDome(grid, thickness[2]!, { xMm: 45, yMm: 45, radiusMm: 22, volumeMl: sheetMl });
  return liveFilm(kernel, freshCells(2, { ...USUAL_CELLS, ...settings }));
}
const open = ({ cells }: ReturnType<typeof film>) => cells!.seeds.filter(({ isOpen }) => isOpen);

it('a thin sheet opens, a thick one of light paint only at its rim', () => {
  const thin = film({}, 0.25);
  const thick = film({ ruptureM: 5e-5 }, 2.2, 1000);
  flowOn(thin, 3, LEVEL);
  flowOn(thick, 3, LEVEL);
  expect(open(thin).length).toBeGreaterThan(40);
  expect(open(thick).length).toBeLessThan(0.25 * open(thin).length);
});

it('holes grow with the pull that opens them, and a sheet that spreads closes them', () => {
  const radius = (spreadingNM: number) => {
    const made = film({ spreadingNM }, 0.25);
    flowOn(made, 4, LEVEL);
    const radii = open(made).map((seed) => seed.radius);
    return radii.reduce((sum, each) => sum + each, 0) / radii.length;
  };
  expect(radius(6e-3)).toBeGreaterThan(1.3 * radius(2e-3));
  expect(radius(-3e-3)).toBeLessThan(0.5 * radius(3e-3));
});

it('a wider spacing makes fewer seeds, by its square', () => {
  const count = (spacingM: number) => {
    const made = film({ spacingM });
    flowOn(made, 1, LEVEL);
    return made.cells!.seeds.length;
  };
  const ratio = count(3e-3) / count(6e-3);
  expect(ratio).toBeGreaterThan(2);
  expect(ratio).toBeLessThan(6);
});

it('seeds and grain go the way the air goes, and stay on the paint', () => {
  const made = film();
  flowOn(made, 0.5, LEVEL);
  const before = made.cells!.seeds.reduce((sum, { x }) => sum + x, 0) / made.cells!.seeds.length;
  blowOn(
    made.kernel.fields,
    { exitSpeedMS: 22, exitDiameterMm: 12, distanceMm: 90, slantDeg: 22, directionDeg: 90, xMm: 45, yMm: 45 },
    0.025,
  );
  flowOn(made, 1, { ...LEVEL, isBlown: true });
  calm(made.kernel.fields);
  const after = made.cells!.seeds.reduce((sum, { x }) => sum + x, 0) / made.cells!.seeds.length;
  expect(after).toBeGreaterThan(before + 1e-3);
  expect(Math.max(...made.grain.across)).toBeGreaterThan(4e-3);
  for (const { x, y } of made.cells!.seeds) {
    expect(x > 0 && y > 0 && x < 0.09 && y < 0.09).toBe(true);
  }
});

it('spun about its middle, the sheet is drawn out and keeps its volume', () => {
  const made = film();
  const volume = () => made.kernel.fields.thickness[2]!.reduce((sum, h) => sum + h, 0);
  const before = volume();
  flowOn(made, 3, { ...LEVEL, ...spun(70, 45, 45) });
  const inner = made.kernel.fields;
  expect(inner.lost[2]).toBe(0);
  expect(volume() / before).toBeCloseTo(1, 9);
});
