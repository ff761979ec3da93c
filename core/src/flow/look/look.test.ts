import { compiledFilmFromFile } from '../../../testing/compiledFilm.ts';
import {
  filmGrid,
  freshCells,
  layDome,
  layFilm,
  LEVEL,
  liveFilm,
  flowOn,
  USUAL_CELLS,
} from '../solver/index.ts';
import { noiseAt, noiseTable } from './noise.ts';
import { frameOf, lookOf, pictureOf, type FilmCast } from './index.ts';
import { packSeeds } from './seeds.ts';

const cast: FilmCast = {
  netM: 3.5e-4,
  layers: [
    { rgb: [0.9, 0.88, 0.8], depthM: 2e-5, isVeined: false },
    { rgb: [0.4, 0.06, 0.02], depthM: 2e-5, isVeined: true },
    { rgb: [0.02, 0.02, 0.03], depthM: 2e-5, isVeined: false },
  ],
  support: [0.8, 0.78, 0.74],
  sheet: 2,
};

function scene(sheetMl: number) {
  const grid = filmGrid({ columns: 48, rows: 40, cellM: 1.5e-3, edge: 'open' });
  const kernel = compiledFilmFromFile(
    grid,
    [1080, 1110, 1190].map((densityKgM3, index) => ({
      densityKgM3,
      viscosityPaS: [2, 1.5, 0.6][index]!,
    })),
    { tauHalfPa: 3, isCrisp: true },
  );
  const { thickness } = kernel.fields;
  layFilm(grid, thickness[0]!, 2);
  layDome(grid, thickness[1]!, { xMm: 36, yMm: 30, radiusMm: 20, volumeMl: 1.4 });
  if (sheetMl > 0) layDome(grid, thickness[2]!, { xMm: 36, yMm: 30, radiusMm: 15, volumeMl: sheetMl });
  const film = liveFilm(kernel, freshCells(2, USUAL_CELLS));
  flowOn(film, 1.5, LEVEL);
  return { grid, film };
}
const picture = (sheetMl: number) => {
  const { grid, film } = scene(sheetMl);
  return pictureOf(lookOf(frameOf(film.kernel.fields, film.grain, film.cells), cast, grid.rim.inside), 240);
};
const pixel = ({ rgb, width }: ReturnType<typeof picture>, x: number, y: number) =>
  [...rgb.subarray(3 * (y * width + x), 3 * (y * width + x) + 3)] as [number, number, number];

it('paint is seen in its own color, the base beside it, with a crisp edge between', () => {
  const drawn = picture(0);
  expect(drawn.width / drawn.height).toBeCloseTo(48 / 40, 2);
  const [inside, outside] = [pixel(drawn, 120, 100), pixel(drawn, 20, 180)];
  expect(inside[0]).toBeGreaterThan(1.6 * inside[2]);
  expect(outside[2]).toBeGreaterThan(150);
  // Across the rim of the puddle no more than some pixels are neither one nor the other.
  let between = 0;
  for (let x = 0; x < 120; x += 1) {
    const [r, , b] = pixel(drawn, x, 100);
    if (b > 70 && b < 150 && r < 230) between += 1;
  }
  expect(between).toBeLessThan(9);
});

it('a thin sheet shows holes with the color below, a picture without a sheet shows none', () => {
  const holes = (drawn: ReturnType<typeof picture>) => drawn.holes.filter((each) => each > 127).length;
  expect(holes(picture(0))).toBe(0);
  const drawn = picture(0.1);
  expect(holes(drawn)).toBeGreaterThan(200);
  let colored = 0;
  drawn.holes.forEach((hole, at) => {
    if (hole > 200 && drawn.rgb[3 * at]! > 60) colored += 1;
  });
  expect(colored).toBeGreaterThan(100);
});

it('a picture for measuring has no mirrored lamp', () => {
  const { grid, film } = scene(0);
  const look = lookOf(frameOf(film.kernel.fields, film.grain, film.cells), cast, grid.rim.inside);
  const brightest = (isGlossy: boolean) => Math.max(...pictureOf(look, 160, { isGlossy }).rgb);
  expect(brightest(true)).toBeGreaterThanOrEqual(brightest(false));
});

it('the noise repeats, is smooth, and has no drift', () => {
  const table = noiseTable();
  let sum = 0;
  for (let at = 0; at < 4000; at += 1) sum += noiseAt(table, at * 0.37, at * 0.11, at);
  expect(Math.abs(sum / 4000)).toBeLessThan(0.08);
  expect(noiseAt(table, 3.2, 1.7, 2)).toBeCloseTo(noiseAt(table, 35.2, 33.7, 2), 5);
  expect(Math.abs(noiseAt(table, 5, 5, 0) - noiseAt(table, 5.02, 5, 0))).toBeLessThan(0.2);
});

it('every open hole is found in the square it lies in', () => {
  const seed = (x: number, y: number) => ({
    ...{ x, y, radius: 1e-3, isOpen: true, ripple: 0, strength: 1, kind: 0.5, bare: 0 },
    stretch: [1, 0, 0, 1] as [number, number, number, number],
  });
  const packed = packSeeds([seed(0.001, 0.001), seed(0.0301, 0.02), seed(0.2, 0.2)], 0.05, 0.04);
  const counts = packed.buckets.filter((_, index) => index % 2 === 1);
  expect(counts.reduce((sum, each) => sum + each, 0)).toBe(2);
  const square = Math.floor(0.02 / 2.5e-3) * packed.across + Math.floor(0.0301 / 2.5e-3);
  const first = packed.buckets[2 * square]!;
  expect(packed.numbers[12 * first]).toBeCloseTo(0.0301, 6);
});
