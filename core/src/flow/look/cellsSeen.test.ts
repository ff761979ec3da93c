import { compiledFilmFromFile } from '../../../testing/compiledFilm.ts';
import {
  filmGrid,
  flowOn,
  freshCells,
  layDome,
  layFilm,
  LEVEL,
  liveFilm,
  USUAL_CELLS,
} from '../solver/index.ts';
import { cellsSeen, frameOf, lookOf, pictureOf, type FilmCast } from './index.ts';

/** A thin sheet that has opened on a puddle. */
function opened(netM: number) {
  const grid = filmGrid({ columns: 60, rows: 60, cellM: 1.5e-3, edge: 'open' });
  const layers = [2, 1.5, 0.6].map((viscosityPaS, at) => ({
    viscosityPaS,
    densityKgM3: [1080, 1110, 1190][at]!,
  }));
  const kernel = compiledFilmFromFile(grid, layers, { tauHalfPa: 3, isCrisp: true });
  const { thickness } = kernel.fields;
  layFilm(grid, thickness[0]!, 1.5);
  layDome(grid, thickness[1]!, { xMm: 45, yMm: 45, radiusMm: 26, volumeMl: 2.4 });
  layDome(grid, thickness[2]!, { xMm: 45, yMm: 45, radiusMm: 22, volumeMl: 0.25 });
  const film = liveFilm(kernel, freshCells(2, { ...USUAL_CELLS, netM }));
  flowOn(film, 5, LEVEL);
  return film;
}
const cast = (netM: number): FilmCast => ({
  ...{ sheet: 2, netM, support: [0.8, 0.8, 0.8] },
  layers: [0.9, 0.3, 0.95].map((light) => ({
    ...{ rgb: [light, light, light] as const, depthM: 2e-5, isVeined: false },
  })),
});

it('holes are as large and as many as the picture draws them', () => {
  const film = opened(3.5e-4);
  const { fields } = film.kernel;
  const look = lookOf(frameOf(fields, film.grain, film.cells), cast(3.5e-4), fields.grid.rim.inside);
  const { holes } = pictureOf(look, 400);
  const drawn = holes.reduce((sum, each) => sum + each / 255, 0) / holes.length;
  const { diametersMm, sheetShare } = cellsSeen(fields, film.cells!);
  const area = diametersMm.reduce((sum, mm) => sum + (Math.PI * mm ** 2) / 4, 0);
  expect(diametersMm.length).toBeGreaterThan(20);
  expect(area / 90 ** 2 / drawn).toBeGreaterThan(0.85);
  expect(area / 90 ** 2 / drawn).toBeLessThan(1.15);
  expect(sheetShare).toBeGreaterThan(0.02);
});

it('a thicker net is a narrower one: it leaves less of the sheet and larger holes', () => {
  const [thin, thick] = [2.5e-4, 5e-4].map((netM) => {
    const film = opened(netM);
    return cellsSeen(film.kernel.fields, film.cells!);
  }) as [ReturnType<typeof cellsSeen>, ReturnType<typeof cellsSeen>];
  expect(thick.sheetShare).toBeLessThan(0.9 * thin.sheetShare);
  const area = ({ diametersMm }: typeof thin) => diametersMm.reduce((sum, mm) => sum + mm ** 2, 0);
  expect(area(thick)).toBeGreaterThan(1.05 * area(thin));
});
