import { inverse, Matrix } from 'ml-matrix';
import { InputError } from '../../base/error/index.ts';
import { emulate, RUNS_OF_POUR, slopesAt, type Outcomes } from './emulator.ts';
import {
  FIT_NAMES,
  PRIOR_SD_LN,
  USUAL,
  valuesAt,
  type FitName,
  type FitValues,
  type Offset,
} from './unknowns.ts';

/** What is measured on a photo and read off a film alike. */
export interface FitMeasures {
  /** Share of the face that shows the base. */
  readonly negativeSpace: number;
  /** Share of the face that each color shows on, by name. */
  readonly shares: Readonly<Record<string, number>>;
}

/** A measured pour with its runs in the film. */
export interface FitPour {
  readonly id: string;
  readonly measured: FitMeasures;
  /** In the order of `FIT_DESIGN`. */
  readonly runs: readonly FitMeasures[];
}

export interface FitError {
  /** Mean distance from what was measured, as a share of the face. */
  readonly negativeSpace: number;
  readonly coverage: number;
}

export interface FilmFit {
  readonly values: FitValues;
  /** Spread of ln of each. */
  readonly sdLn: Readonly<Record<FitName, number>>;
  readonly n: number;
  /** Each pour told by the film as usual, and by a fit to all the others. */
  readonly before: FitError;
  readonly after: FitError;
  /** Whether the others' fit told the pours that were left out better. */
  readonly helps: boolean;
}

/** How far film and photo are apart when all unknowns are right, at least; shares of the face (an assumption). */
const LEAST_APART = 0.03;
/** How far the coarse film as a whole is apart from the photos, all pours the same way; a share of the face (an assumption, seen on the demo's). */
const SHARED_APART = 0.03;
/** Before the pours say how far it is. */
const FIRST_APART = 0.1;
const ROUNDS = 6;
const STEPS = 12;

/** A pour's measures as numbers: the base left open first, then its colors by name. */
const namesOf = ({ measured }: FitPour): string[] => Object.keys(measured.shares).sort();
const outcomesOf = ({ negativeSpace, shares }: FitMeasures, names: readonly string[]): Outcomes => [
  negativeSpace,
  ...names.map((name) => shares[name] ?? 0),
];

interface Told {
  readonly measured: Outcomes;
  readonly runs: readonly Outcomes[];
}

/** The shares of one face add up: all colors of a pour weigh as much as one. */
const weightOf = (of: number, count: number, apart: number): number =>
  1 / apart ** 2 / (of === 0 ? 1 : Math.max(1, count - 1));

interface Fitted {
  /** Of the unknowns; last, how far all pours are apart the same way, in spreads of it. */
  readonly offset: Offset;
  readonly covariance: Matrix;
}

/**
 * The offsets that tell the pours best, with what was taken for granted of them.
 *
 * Law: least squares with a normal prior, by Gauss and Newton's steps on the emulated film; the distance that is left between film and photo is
 * taken from the pours themselves, and one more unknown stands for what all of them are off the same way: without it the ranges would be
 * as narrow as many pours make them, around a value that a coarse film has moved (standard statistics).
 */
function fit(pours: readonly Told[]): Fitted {
  const k = FIT_NAMES.length + 1;
  let offset: number[] = [...USUAL, 0];
  let apart = FIRST_APART;
  let covariance = Matrix.eye(k);
  for (let round = 0; round < ROUNDS; round += 1) {
    for (let step = 0; step < STEPS; step += 1) {
      const normal = Matrix.eye(k);
      const right = Matrix.zeros(k, 1);
      for (const { measured, runs } of pours) {
        const told = toldAt(runs, offset);
        const shared = sharedOf(runs);
        const slopes = slopesAt(runs, offset).map((row, of) => [...row, shared[of]!]);
        measured.forEach((value, of) => {
          const weight = weightOf(of, measured.length, apart);
          const row = slopes[of]!;
          const ahead = value - told[of]! + row.reduce((sum, each, at) => sum + each * offset[at]!, 0);
          for (let a = 0; a < k; a += 1) {
            right.set(a, 0, right.get(a, 0) + weight * row[a]! * ahead);
            for (let b = 0; b < k; b += 1) normal.set(a, b, normal.get(a, b) + weight * row[a]! * row[b]!);
          }
        });
      }
      covariance = inverse(normal);
      const next = covariance.mmul(right).to1DArray();
      // Half a step is safe where the parabola bends.
      offset = offset.map((each, at) => each + 0.5 * (next[at]! - each));
    }
    apart = leftApart(pours, offset);
  }
  return { offset, covariance };
}

/** What a whole spread apart does to a pour: so much more base is open, and so much less color in proportion. */
function sharedOf([usual]: readonly Outcomes[]): number[] {
  const colored = usual!.slice(1).reduce((sum, share) => sum + share, 0);
  return usual!.map((share, of) =>
    of === 0 ? SHARED_APART : (-SHARED_APART * share) / Math.max(1e-9, colored),
  );
}

function toldAt(runs: readonly Outcomes[], offset: Offset): number[] {
  const shared = sharedOf(runs);
  return emulate(runs, offset).map((value, of) => value + shared[of]! * (offset[FIT_NAMES.length] ?? 0));
}

/** Root mean square of what the film leaves, each pour counting as its base and its colors. */
function leftApart(pours: readonly Told[], offset: Offset): number {
  let [sum, count] = [0, 0];
  for (const { measured, runs } of pours) {
    const told = toldAt(runs, offset);
    measured.forEach((value, of) => {
      const weight = of === 0 ? 1 : 1 / Math.max(1, measured.length - 1);
      sum += weight * (value - told[of]!) ** 2;
      count += weight;
    });
  }
  const free = Math.max(1, count - FIT_NAMES.length);
  return Math.max(LEAST_APART, Math.sqrt(sum / free));
}

/** By the values alone, as a rehearsal uses them: what all pours are off the same way is no part of them. */
function errorOf(pours: readonly Told[], offsets: (at: number) => Offset): FitError {
  let [open, colors, colored] = [0, 0, 0];
  pours.forEach(({ measured, runs }, at) => {
    const told = emulate(runs, offsets(at));
    open += Math.abs(measured[0]! - told[0]!);
    const each = measured.slice(1).map((value, of) => Math.abs(value - told[of + 1]!));
    if (each.length === 0) return;
    colored += 1;
    colors += each.reduce((sum, value) => sum + value, 0) / each.length;
  });
  return { negativeSpace: open / pours.length, coverage: colors / Math.max(1, colored) };
}

/** Fewer pours than this tell nothing of an artist. */
export const LEAST_POURS = 3;
/** More of an error than this share must go, or the fit is left alone. */
const LEAST_GAIN = 0.02;

/**
 * Fits the film's unknowns to measured pours, and reports how far off every pour is when it is left out.
 *
 * @throws InputError naming "pours" or "pours.N.runs"
 */
export function fitFilm(pours: readonly FitPour[]): FilmFit {
  if (pours.length < LEAST_POURS) {
    throw new InputError('pours', `It takes ${LEAST_POURS} measured pours at least.`);
  }
  pours.forEach(({ runs }, at) => {
    if (runs.length !== RUNS_OF_POUR)
      throw new InputError(`pours.${at}.runs`, `A pour takes ${RUNS_OF_POUR} runs.`);
  });
  const told = pours.map((pour): Told => {
    const names = namesOf(pour);
    return {
      measured: outcomesOf(pour.measured, names),
      runs: pour.runs.map((run) => outcomesOf(run, names)),
    };
  });
  const { offset, covariance } = fit(told);
  const others = told.map((_, at) => fit(told.toSpliced(at, 1)).offset);
  const before = errorOf(told, () => USUAL);
  const after = errorOf(told, (at) => others[at]!);
  const total = ({ negativeSpace, coverage }: FitError) => negativeSpace + coverage;
  return {
    values: valuesAt(offset),
    sdLn: Object.fromEntries(
      FIT_NAMES.map((name, at) => [name, PRIOR_SD_LN[name] * Math.sqrt(covariance.get(at, at))]),
    ) as Record<FitName, number>,
    n: pours.length,
    ...{ before, after },
    helps: total(after) < (1 - LEAST_GAIN) * total(before),
  };
}
