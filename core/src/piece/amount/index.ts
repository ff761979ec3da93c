export { amounts, layerAmounts, type Amounts, type LayerAmount, type PaintAmount } from './amounts.ts';
export { areaShares, baseAreas, baseFilmMm, type BaseArea } from './base.ts';
export { pieceFilm, secondsToSpin, type PieceFilm } from './film.ts';
export { exitOf, type BlowerExit } from './exit.ts';
export {
  deepestDentMm,
  paintOf,
  PILLOW_SHARE,
  pillowMassG,
  stackLayers,
  type SettledLayer,
} from './layers.ts';
