export { amounts, layerAmounts, type Amounts, type LayerAmount, type PaintAmount } from './amounts.ts';
export { baseAreas, usualBaseMm, type BaseArea } from './base.ts';
export { leftMm, middleFilm, pieceFilm, secondsToSpin, type PieceFilm } from './film.ts';
export { neededCups, type NeededCups, type NeedInput } from './needed.ts';
export { exitOf, type BlowerExit } from './exit.ts';
export { deepestDentMm, paintOf, pillowMassG, stackLayers, type SettledLayer } from './layers.ts';
