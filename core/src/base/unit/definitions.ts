/**
 * The units the trade uses, each with its exact size in the base unit of its quantity.
 *
 * Source: NIST SP 811 and NIST Handbook 44 appendix C (values from memory): US teaspoon, tablespoon and
 * fluid ounce follow from the gallon of 231 cubic inches and the inch of 25.4 mm; the avoirdupois ounce
 * is 28.349523125 g exactly. The metric drop of 0.05 ml and the two smidgens are common practice, no
 * published source.
 */
export type Quantity = 'mass' | 'volume' | 'length' | 'temperature' | 'viscosity';

export interface UnitDefinition {
  readonly name: string;
  readonly quantity: Quantity;
  /** How many base units (g, ml, mm, °C, Pa·s) one of this unit is. */
  readonly inBase: number;
  /** Base value at zero of this unit; only temperatures have one. */
  readonly zeroInBase?: number;
  readonly aliases: readonly string[];
}

const ML_PER_CUBIC_INCH = 2.54 ** 3;
const GALLON_ML = 16387.064 * 0.231;

export const UNITS = [
  { name: 'g', quantity: 'mass', inBase: 1, aliases: ['gram', 'grams'] },
  { name: 'mg', quantity: 'mass', inBase: 0.001, aliases: ['milligram', 'milligrams'] },
  { name: 'kg', quantity: 'mass', inBase: 1000, aliases: ['kilogram', 'kilograms'] },
  {
    name: 'oz',
    quantity: 'mass',
    inBase: 28.349523125,
    aliases: ['ounce', 'ounces', 'oz av', 'oz weight', 'weight oz'],
  },
  { name: 'lb', quantity: 'mass', inBase: 453.59237, aliases: ['pound', 'pounds', 'lbs'] },
  { name: 'ml', quantity: 'volume', inBase: 1, aliases: ['milliliter', 'cm3', 'cc'] },
  { name: 'l', quantity: 'volume', inBase: 1000, aliases: ['liter', 'liters'] },
  { name: 'tsp', quantity: 'volume', inBase: GALLON_ML / 768, aliases: ['teaspoon', 'teaspoons'] },
  {
    name: 'tbsp',
    quantity: 'volume',
    inBase: GALLON_ML / 256,
    aliases: ['tablespoon', 'tablespoons'],
  },
  {
    name: 'fl oz',
    quantity: 'volume',
    inBase: GALLON_ML / 128,
    aliases: ['floz', 'fluid oz', 'fluid ounce', 'fluid ounces'],
  },
  { name: 'drop', quantity: 'volume', inBase: 0.05, aliases: ['drops', 'gtt'] },
  { name: 'smidgen 1/32', quantity: 'volume', inBase: GALLON_ML / 768 / 32, aliases: ['smidgen32'] },
  { name: 'smidgen 1/16', quantity: 'volume', inBase: GALLON_ML / 768 / 16, aliases: ['smidgen16'] },
  { name: 'in3', quantity: 'volume', inBase: ML_PER_CUBIC_INCH, aliases: ['cubic inch'] },
  { name: 'mm', quantity: 'length', inBase: 1, aliases: ['millimeter', 'millimeters'] },
  { name: 'cm', quantity: 'length', inBase: 10, aliases: ['centimeter', 'centimeters'] },
  { name: 'm', quantity: 'length', inBase: 1000, aliases: ['meter', 'meters'] },
  { name: 'in', quantity: 'length', inBase: 25.4, aliases: ['inch', 'inches'] },
  { name: 'C', quantity: 'temperature', inBase: 1, zeroInBase: 0, aliases: ['°c', 'celsius'] },
  {
    name: 'F',
    quantity: 'temperature',
    inBase: 5 / 9,
    zeroInBase: (-32 * 5) / 9,
    aliases: ['°f', 'fahrenheit'],
  },
  { name: 'K', quantity: 'temperature', inBase: 1, zeroInBase: -273.15, aliases: ['kelvin'] },
  { name: 'Pa.s', quantity: 'viscosity', inBase: 1, aliases: ['pa·s', 'pas', 'pa s'] },
  { name: 'mPa.s', quantity: 'viscosity', inBase: 0.001, aliases: ['mpa·s', 'mpas', 'cp'] },
] as const satisfies readonly UnitDefinition[];

export type UnitName = (typeof UNITS)[number]['name'];
