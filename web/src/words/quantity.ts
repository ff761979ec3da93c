import { convert } from '@icy-ribbon/core/base/unit';
import type { Quantity } from '@icy-ribbon/core/judgement/compare';
import type { Measure } from '@icy-ribbon/core/judgement/outcome';
import type { ChosenUnits } from '../store/unitChoices.ts';

/** How a kind of number is read: its value in the unit that is chosen, and that unit. */
interface Reading {
  readonly of: (value: number) => number;
  readonly unit: string;
}

const asItIs = (unit: string): Reading => ({ of: (value) => value, unit });

function readings({ mass, length, temperature }: ChosenUnits): Readonly<Record<Measure, Reading>> {
  const inches = length === 'in';
  const [area, areaInDm2] = inches ? ['ft²', (convert(12, 'in', 'mm') / 100) ** 2] : ['dm²', 1];
  return {
    viscosity: asItIs('Pa·s'),
    ratio: asItIs(''),
    share: { of: (value) => 100 * value, unit: '%' },
    'mass on area': { of: (value) => convert(value, 'g', mass) * areaInDm2, unit: `${mass}/${area}` },
    'number on area': inches
      ? { of: (value) => value * convert(1, 'in', 'cm') ** 2, unit: 'per in²' }
      : asItIs('per cm²'),
    distance: { of: (value) => convert(value, 'mm', length), unit: length },
    length: inches ? { of: (value) => convert(value, 'mm', 'in'), unit: 'in' } : asItIs('mm'),
    angle: asItIs('°'),
    seconds: asItIs('s'),
    count: asItIs(''),
    temperature: { of: (value) => convert(value, 'C', temperature), unit: `°${temperature}` },
    percent: asItIs('%'),
    'of five': asItIs('of 5'),
  };
}

/** A stored value of a quantity as the number that is read. */
export const shownValue = ({ measure }: Quantity, value: number, chosen: ChosenUnits): number =>
  readings(chosen)[measure].of(value);

/** A stored value of a quantity with its unit. */
export function quantityWords(quantity: Quantity, value: number, chosen: ChosenUnits): string {
  const { unit } = readings(chosen)[quantity.measure];
  const shown = shownValue(quantity, value, chosen);
  const number = String(Number(shown.toFixed(digitsOf(quantity.measure, shown)))).replace('-', '−');
  return `${number}${unit === '' || unit === '°' ? unit : `\u00a0${unit}`}`;
}

function digitsOf(measure: Measure, shown: number): number {
  const size = Math.abs(shown);
  if (measure === 'distance') return size < 10 ? 1 : 0;
  if (measure === 'share') return size < 10 ? 1 : 0;
  return size >= 100 ? 0 : size >= 10 ? 1 : size >= 0.1 ? 2 : 3;
}

/** "Blowing distance, cm": what stands along an axis. */
export function axisTitle({ label, measure }: Quantity, chosen: ChosenUnits): string {
  const { unit } = readings(chosen)[measure];
  return unit ? `${label}, ${unit}` : label;
}
