export { SURFACE_TENSION_NM, cellForecast, type CellForecast } from './cells.ts';
export { growthRates, type GrowthRates, type Layer, type TwoLayers } from './twoLayer.ts';
