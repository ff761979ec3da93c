export { advance, filmClock, startle, type FilmClock } from './advance.ts';
export { blowOn, calm, type FilmAir } from './blow.ts';
export {
  copyOfSeed,
  freshCells,
  openCells,
  USUAL_CELLS,
  type CellSeed,
  type CellSettings,
  type SheetCells,
} from './cells.ts';
export { compiledFilm, type FilmModule } from './compiledKernel.ts';
export type { FilmDrive, FilmFields, FilmLayer } from './film.ts';
export { LEVEL, runFilm, spun, tilted, type FilmRun, type FilmRunResult, type FilmStep } from './filmRun.ts';
export { cellIndex, filmGrid, MARGIN, repeatRim, type FilmGrid } from './grid.ts';
export { layDisc, layDome, layFilm, layShape } from './lay.ts';
export { flowOn, liveFilm, type LiveFilm } from './live.ts';
export { between } from './carry.ts';
export { forEachCell, measureLayer, seenByLayer, seenShares, volumeM3 } from './measure.ts';
export { dryLayers, freshSkin, type Skin } from './skin.ts';
export { freshSides, hungM3, wetShare, type Sides } from './sides.ts';
export { plainFilm, type FilmKernel, type MakeKernel } from './plainKernel.ts';
