/** The quantities that have a switch, the unit each is stored in, and what may be shown instead. */
export const CHOICES = {
  mass: { label: 'Weight', base: 'mg', units: ['g', 'oz'] },
  volume: { label: 'Volume', base: 'ml', units: ['ml', 'fl oz', 'tsp'] },
  length: { label: 'Length', base: 'mm', units: ['cm', 'in'] },
  temperature: { label: 'Temperature', base: 'C', units: ['C', 'F'] },
} as const;

export type SwitchedQuantity = keyof typeof CHOICES;
/** "depth": millimeters of paint or of a cell, which go with the unit of length. */
export type ShownQuantity = SwitchedQuantity | 'depth';

export type ChosenUnits = {
  [Quantity in SwitchedQuantity]: (typeof CHOICES)[Quantity]['units'][number];
};

type ShownUnit = ChosenUnits[SwitchedQuantity] | 'mm';

/** Decimals at a glance, and at the scale or in a field. */
export const DIGITS: Readonly<Record<ShownUnit, readonly [coarse: number, exact: number]>> = {
  g: [1, 2],
  oz: [2, 3],
  ml: [0, 1],
  'fl oz': [1, 2],
  tsp: [1, 2],
  mm: [1, 2],
  cm: [1, 2],
  in: [1, 2],
  C: [1, 1],
  F: [0, 1],
};
