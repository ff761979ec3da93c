import type { Quantity } from '@icy-ribbon/core/judgement/compare';

/** A number of a quantity as it is read: shares as percent, millimeters of air as centimeters. */
export function quantityWords({ key, unit }: Quantity, value: number): string {
  if (unit === 'share') return `${(100 * value).toFixed(Math.abs(value) < 0.1 ? 1 : 0)} %`;
  if (key === 'distanceMm') return `${(value / 10).toFixed(0)} cm`;
  const digits = Math.abs(value) >= 100 ? 0 : Math.abs(value) >= 10 ? 1 : 2;
  return `${Number(value.toFixed(digits))}${unit ? ` ${unit}` : ''}`;
}

export const axisTitle = ({ label, unit }: Quantity): string =>
  unit && unit !== 'share' ? `${label}, ${unit}` : label;
