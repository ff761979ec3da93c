/**
 * What kind of number it is, which says its unit: Pa·s, mm (of air or of paint), g on a square decimeter, number on a
 * square centimeter, degrees, seconds, °C; shares count from 0 to 1, percentages to 100.
 */
export type Measure =
  | 'viscosity'
  | 'ratio'
  | 'share'
  | 'mass on area'
  | 'number on area'
  | 'distance'
  | 'length'
  | 'angle'
  | 'seconds'
  | 'count'
  | 'temperature'
  | 'percent'
  | 'of five';
