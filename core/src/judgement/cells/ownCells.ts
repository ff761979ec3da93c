import { NINE_IN_TEN, partialPooling, type Grouped } from '../../base/statistics/index.ts';
import type { Technique } from '../../paint/stage/index.ts';
import type { CellCause, ExpectedCells } from './expected.ts';

/** What tells which pours a pour's cells are like. */
export interface CellKind {
  readonly technique: Technique;
  /** Which activator, by recipe and paint; null without one. */
  readonly activator: string | null;
}

/** A pour whose cells were measured, and what the laws had expected of it. */
export interface MeasuredCells extends CellKind, ExpectedCells {
  readonly measuredMm: number;
}

/** How large cells will come out, by one's own pours. */
export interface OwnCells {
  readonly mm: number;
  /** Nine of ten such pours come out between these, mm. */
  readonly low: number;
  readonly high: number;
  /** Measured pours of this technique that opened alike. */
  readonly n: number;
  /** Those of them with the same activator. */
  readonly sameActivator: number;
}

/**
 * How far whole studios lie from the laws, sd of a logarithm: by weight half as much again, otherwise not quite twice
 * (assumptions).
 */
const SPREAD: Readonly<Record<string, number>> = { 'by weight': 0.4, 'by sheet': 0.6, 'by metallic': 0.6 };

const groupsOf = (by: CellCause, { technique, activator }: CellKind): string[] => [
  `by ${by}`,
  `technique ${technique}`,
  ...(activator === null ? [] : [`activator ${activator}`]),
];

const grouped = (pour: MeasuredCells): Grouped => ({
  value: Math.log(pour.measuredMm / pour.mm),
  groups: groupsOf(pour.by, pour),
});

/**
 * A forecast of cell sizes that has learned from measured pours.
 *
 * Law: ln(measured / expected) of every pour is the sum of what the studio does otherwise than the law, what is
 * peculiar to the technique and to the activator, and chance; partial pooling of these (`partialPooling`).
 *
 * @returns a function from what the laws expect of a pour, and its kind
 */
export function learnCells(
  pours: readonly MeasuredCells[],
): (expected: ExpectedCells, kind: CellKind) => OwnCells {
  const predict = partialPooling(pours.map(grouped), SPREAD);
  return ({ mm, by }, kind) => {
    const { mean, sd } = predict(groupsOf(by, kind));
    const alike = pours.filter((pour) => pour.by === by && pour.technique === kind.technique);
    return {
      mm: mm * Math.exp(mean),
      low: mm * Math.exp(mean - NINE_IN_TEN * sd),
      high: mm * Math.exp(mean + NINE_IN_TEN * sd),
      n: alike.length,
      sameActivator: alike.filter(({ activator }) => activator === kind.activator).length,
    };
  };
}

export interface ForecastError {
  readonly n: number;
  /** Root mean square of ln(measured / forecast) by the laws alone. */
  readonly lawLn: number;
  /** The same when each pour is forecast from all the others. */
  readonly ownLn: number;
  /** Share of the pours that came out within their range of nine in ten. */
  readonly inRange: number;
}

/** How far off the forecast was, each pour left out in turn; null below two pours. */
export function forecastError(pours: readonly MeasuredCells[]): ForecastError | null {
  if (pours.length < 2) return null;
  const told = pours.map((pour, index) => ({
    pour,
    own: learnCells(pours.toSpliced(index, 1))(pour, pour),
  }));
  const rms = (values: readonly number[]) =>
    Math.sqrt(values.reduce((sum, value) => sum + value ** 2, 0) / values.length);
  const inside = told.filter(
    ({ pour, own }) => own.low <= pour.measuredMm && pour.measuredMm <= own.high,
  ).length;
  return {
    n: pours.length,
    lawLn: rms(pours.map(({ measuredMm, mm }) => Math.log(measuredMm / mm))),
    ownLn: rms(told.map(({ pour, own }) => Math.log(pour.measuredMm / own.mm))),
    inRange: inside / told.length,
  };
}
