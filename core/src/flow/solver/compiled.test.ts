import { compiledFilmFromFile } from '../../../testing/compiledFilm.ts';
import { advance, filmClock } from './advance.ts';
import { blowOn } from './blow.ts';
import { LEVEL, runFilm, tilted, type FilmRun } from './filmRun.ts';
import { filmGrid } from './grid.ts';
import { layDisc, layFilm } from './lay.ts';
import { plainFilm, type FilmKernel } from './plainKernel.ts';

const breath = {
  exitSpeedMS: 20,
  exitDiameterMm: 12,
  distanceMm: 90,
  slantDeg: 25,
  directionDeg: 60,
  xMm: 44,
  yMm: 38,
} as const;
const pour: FilmRun = {
  widthMm: 90,
  heightMm: 78,
  cellMm: 2,
  edge: 'open',
  layers: [
    { name: 'base', viscosityPaS: 2, densityKgM3: 1080 },
    { name: 'color', viscosityPaS: 1.5, densityKgM3: 1120 },
    { name: 'activator', viscosityPaS: 0.6, densityKgM3: 1190 },
  ],
  films: [{ layer: 'base', thicknessMm: 3 }],
  puddles: [
    { layer: 'color', xMm: 45, yMm: 40, radiusMm: 20, volumeMl: 1.6 },
    { layer: 'activator', xMm: 45, yMm: 40, radiusMm: 13, volumeMl: 0.4 },
  ],
  steps: [],
  tauHalfPa: 3,
};

it.each<[string, Partial<FilmRun>]>([
  ['blown', { steps: [{ kind: 'air', ...breath, seconds: 1 }] }],
  ['at rest, behind walls', { edge: 'wall', steps: [{ kind: 'rest', seconds: 10 }] }],
  ['tilted until it drips', { steps: [{ kind: 'tilt', deg: 20, directionDeg: 120, seconds: 4 }] }],
  ['spun off its middle', { steps: [{ kind: 'spin', rpm: 90, xMm: 50, yMm: 35, seconds: 3 }] }],
  ['not thinning when sheared', { tauHalfPa: null, steps: [{ kind: 'air', ...breath, seconds: 1 }] }],
  ['a puddle on a bare face', { films: [], steps: [{ kind: 'rest', seconds: 3 }] }],
  ['of odd columns', { widthMm: 86, steps: [{ kind: 'air', ...breath, seconds: 0.5 }] }],
])('the compiled film agrees with the plain one to 1e-6: %s', (_, changes) => {
  const plain = runFilm({ ...pour, ...changes });
  const compiled = runFilm({ ...pour, ...changes }, compiledFilmFromFile);
  expect(compiled.steps).toBe(plain.steps);
  plain.layers.forEach((layer, index) => {
    const other = compiled.layers[index]!;
    for (const key of ['volumeMl', 'lostMl', 'meanMm', 'maxMm', 'rmsRadiusMm'] as const) {
      expect(Math.abs(other[key] - layer[key])).toBeLessThan(1e-6 * (1 + Math.abs(layer[key])));
    }
    expect(compiled.seenShares[layer.name]).toBeCloseTo(plain.seenShares[layer.name]!, 6);
  });
});

it('agrees cell by cell, with crisp edges, on a round support', () => {
  const grid = filmGrid({
    ...{ columns: 45, rows: 45, cellM: 2e-3, edge: 'open' },
    isInside: (column, row) => Math.hypot(column - 22, row - 22) < 22.4,
  });
  const layers = pour.layers;
  const make = (kernel: FilmKernel) => {
    const { thickness, lost } = kernel.fields;
    layFilm(grid, thickness[0]!, 2.5);
    layDisc(grid, thickness[1]!, { xMm: 60, yMm: 45, radiusMm: 18, volumeMl: 1.4 });
    layDisc(grid, thickness[2]!, { xMm: 62, yMm: 45, radiusMm: 10, volumeMl: 0.2 });
    const clock = filmClock();
    advance(kernel, clock, 0.5, LEVEL);
    blowOn(kernel.fields, { ...breath, xMm: 62, yMm: 45, directionDeg: 90 });
    advance(kernel, clock, 0.8, { ...LEVEL, isBlown: true });
    advance(kernel, clock, 0.5, tilted(12, 90));
    return { thickness, lost };
  };
  const plain = make(plainFilm(grid, layers, { tauHalfPa: 3, isCrisp: true }));
  const compiled = make(compiledFilmFromFile(grid, layers, { tauHalfPa: 3, isCrisp: true }));
  plain.thickness.forEach((field, layer) => {
    let worst = 0;
    field.forEach((h, cell) => (worst = Math.max(worst, Math.abs(h - compiled.thickness[layer]![cell]!))));
    expect(worst * 1000).toBeLessThan(1e-6);
    expect(compiled.lost[layer]).toBeCloseTo(plain.lost[layer]!, 12);
  });
  expect(Math.min(...plain.thickness.map((field) => Math.min(...field)))).toBeGreaterThanOrEqual(0);
  expect(plain.lost[0]).toBeGreaterThan(1e-8);
});

it('on a bare face paint stops at its resting thickness, in both', () => {
  const grid = filmGrid({ columns: 60, rows: 60, cellM: 2e-3, edge: 'open' });
  const pinM = 1e-3;
  const spread = (make: typeof plainFilm, nature: object) => {
    const kernel = make(grid, [{ viscosityPaS: 1, densityKgM3: 1100 }], {
      ...{ tauHalfPa: null, isCrisp: false },
      ...nature,
    });
    const [field] = kernel.fields.thickness;
    layDisc(grid, field!, { xMm: 60, yMm: 60, radiusMm: 15, volumeMl: 4 });
    advance(kernel, filmClock(), 60, LEVEL);
    const wet = field!.filter((h, cell) => h > 1e-5 && grid.rim.inside[cell]).length * 4;
    return { meanMm: 4000 / wet, field: field! };
  };
  const pinned = spread(plainFilm, { pinM });
  // The edge rests at the pin; the middle of so small a puddle still stands higher after a minute.
  expect(pinned.meanMm).toBeGreaterThan(0.95);
  expect(pinned.meanMm).toBeLessThan(1.6);
  expect(spread(plainFilm, {}).meanMm).toBeLessThan(0.85 * pinned.meanMm);
  const compiled = spread(compiledFilmFromFile, { pinM });
  pinned.field.forEach((h, cell) => expect(Math.abs(h - compiled.field[cell]!)).toBeLessThan(1e-9));
});
