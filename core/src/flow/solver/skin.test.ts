import { sheetDriesSeconds } from '../drying/index.ts';
import { filmFields } from './film.ts';
import { filmGrid } from './grid.ts';
import { layDome, layFilm } from './lay.ts';
import { dryLayers, freshSkin } from './skin.ts';

const grid = filmGrid({ columns: 30, rows: 30, cellM: 2e-3, edge: 'open' });
const layers = [
  { viscosityPaS: 3, densityKgM3: 1100 },
  { viscosityPaS: 0.6, densityKgM3: 1100 },
];
function film(baseMm: number, sheetMm: number) {
  const fields = filmFields(grid, layers, { tauHalfPa: 3, isCrisp: true });
  if (baseMm > 0) layFilm(grid, fields.thickness[0]!, baseMm);
  if (sheetMm > 0) layFilm(grid, fields.thickness[1]!, sheetMm);
  const skin = freshSkin(fields);
  const first = Float64Array.from(fields.viscosity);
  return { fields, skin, dry: (seconds: number) => dryLayers(fields, skin, first, seconds) };
}

it('a fresh layer is as thick as its cup', () => {
  const { fields, dry } = film(3, 0.3);
  dry(1e-6);
  expect(fields.viscosity[0]).toBeCloseTo(3, 6);
  expect(fields.viscosity[1]).toBeCloseTo(0.6, 4);
});

it('a sheet alone has lost its water when the law of drying says so, and is a skin then', () => {
  const { fields, skin, dry } = film(0, 0.3);
  const all = sheetDriesSeconds(0.3, 1.1);
  for (let step = 0; step < 100; step += 1) dry(all / 100 / 2);
  expect(skin.water[1]).toBeCloseTo(0.3, 4);
  for (let step = 0; step < 100; step += 1) dry(all / 100 / 2);
  expect(skin.water[1]).toBeCloseTo(0, 6);
  expect(fields.viscosity[1]).toBeCloseTo(30, 6);
});

it('what lies under a sheet does not dry, and a minute changes a deep film by little', () => {
  const covered = film(3, 0.3);
  covered.dry(60);
  expect(covered.skin.water[0]).toBe(0.6);
  expect(covered.fields.viscosity[1]! / 0.6).toBeGreaterThan(1.03);
  const open = film(3, 0);
  open.dry(60);
  expect(open.fields.viscosity[0]! / 3).toBeGreaterThan(1);
  expect(open.fields.viscosity[0]! / 3).toBeLessThan(1.02);
});

it('paint thickens with time, never thins', () => {
  const { fields, dry } = film(1.5, 0);
  layDome(grid, fields.thickness[1]!, { xMm: 30, yMm: 30, radiusMm: 15, volumeMl: 0.3 });
  let before = [...fields.viscosity];
  for (let step = 0; step < 20; step += 1) {
    dry(30);
    fields.viscosity.forEach((mu, layer) => expect(mu).toBeGreaterThanOrEqual(before[layer]!));
    before = [...fields.viscosity];
  }
});
