export { SURFACE_TENSION_NM, cellForecast, type CellForecast } from './cells.ts';
export { openingRange, stackCells, stackModes, type StackMode } from './wholeStack.ts';
export { growthRates, type GrowthRates, type Layer, type TwoLayers } from './twoLayer.ts';
