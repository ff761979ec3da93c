import type { Measure } from '../outcome/measure.ts';
import type { Quantity } from './quantities.ts';

/** The scale on which pours are held against each other, always the same, and how near two of them are the same. */
export interface QuantityScale {
  readonly from: number;
  readonly to: number;
  /** By ratios; then "same" is a factor, else a difference. */
  readonly isLog: boolean;
  readonly same: number;
}

const log = (from: number, to: number, same: number): QuantityScale => ({ from, to, isLog: true, same });
const even = (from: number, to: number, same: number): QuantityScale => ({ from, to, isLog: false, same });

/** What can be told apart, and what an artist would call the same (common practice, no published source). */
const BY_MEASURE: Readonly<Record<Measure, QuantityScale>> = {
  viscosity: log(0.06, 12, 1.35),
  ratio: log(0.1, 10, 1.35),
  share: even(0, 1, 0.03),
  'mass on area': even(0, 30, 1),
  'number on area': even(0, 6, 0.3),
  distance: log(20, 1000, 1.2),
  length: log(0.3, 15, 1.1),
  angle: even(0, 90, 5),
  seconds: even(0, 300, 10),
  count: even(0, 20, 1),
  temperature: even(10, 35, 1.5),
  percent: even(0, 100, 5),
  'of five': even(0, 5, 0.5),
};

const BY_KEY: Readonly<Record<string, QuantityScale>> = {
  activatorShare: log(0.01, 1, 1.25),
  waterShare: even(0, 0.5, 0.02),
  airSeconds: even(0, 120, 3),
  spinTurns: even(0, 60, 3),
  mud: even(0, 0.3, 0.01),
  symmetry: even(0, 1, 0.05),
};

/** The scale of a quantity. */
export const scaleOf = ({ key, measure }: Quantity): QuantityScale => BY_KEY[key] ?? BY_MEASURE[measure];

/** Where a value lies on its scale, from 0 to 1; what lies beyond stands at the end. */
export function alongScale(quantity: Quantity, value: number): number {
  const { from, to, isLog } = scaleOf(quantity);
  const share = isLog
    ? Math.log(Math.max(value, 1e-9) / from) / Math.log(to / from)
    : (value - from) / (to - from);
  return Math.min(1, Math.max(0, share));
}

/** Whether two values of a quantity count as the same. */
export function isSame(quantity: Quantity, a: number, b: number): boolean {
  const { isLog, same } = scaleOf(quantity);
  if (isLog && a > 0 && b > 0) return Math.max(a, b) / Math.min(a, b) <= same;
  return Math.abs(a - b) <= same;
}
