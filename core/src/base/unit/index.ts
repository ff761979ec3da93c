export { convert } from './convert.ts';
export { convertCalculation } from './convert.calculation.ts';
export { parseDecimal } from './decimal.ts';
export { UNITS, type Quantity, type UnitDefinition, type UnitName } from './definitions.ts';
export { splitMg, toG, toMg } from './mass.ts';
