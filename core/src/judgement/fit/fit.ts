import { inverse, Matrix } from 'ml-matrix';
import { InputError } from '../../base/error/index.ts';
import { emulate, RUNS_OF_POUR, slopesAt, type Outcomes } from './emulator.ts';
import { comparedOf, isShare, type FitMeasures, type OutcomeKind } from './measures.ts';
import {
  FIT_NAMES,
  PAINT_NAMES,
  PRIOR_SD_LN,
  USUAL,
  valuesAt,
  type FitName,
  type FitValues,
  type Offset,
} from './unknowns.ts';

/** A measured pour with its runs in the film. */
export interface FitPour {
  readonly id: string;
  readonly measured: FitMeasures;
  /** In the order of `FIT_DESIGN`. */
  readonly runs: readonly FitMeasures[];
}

/** Mean distance from what was measured; null where no pour tells. */
export interface FitError {
  /** As shares of the face. */
  readonly negativeSpace: number;
  readonly coverage: number | null;
  readonly sheet: number | null;
  /** Of the number of cells, in ln. */
  readonly cellsLn: number | null;
}

export interface FilmFit {
  readonly values: FitValues;
  /** Spread of ln of each. */
  readonly sdLn: Readonly<Record<FitName, number>>;
  readonly n: number;
  /** Of these, pours with cells. */
  readonly nCells: number;
  /** Each pour told by the film as usual, and by a fit to all the others. */
  readonly before: FitError;
  readonly after: FitError;
  /** Whether the others' fit told the pours that were left out better. */
  readonly helps: boolean;
}

/** How far film and photo are apart, shares of the face and ln of sizes and counts: at least when all unknowns are right, and before the pours say (assumptions). */
const APART = { share: { least: 0.03, first: 0.1 }, ln: { least: 0.1, first: 0.4 } } as const;
/** How far the coarse film as a whole is apart from the photos, all pours the same way (assumptions, seen on the demo's). */
const SHARED_APART: Readonly<Record<'open' | 'sheet' | 'size' | 'count', number>> = {
  open: 0.03,
  sheet: 0.05,
  size: 0.15,
  count: 0.4,
};
const SHARED_KINDS = ['open', 'sheet', 'size', 'count'] as const;
/**
 * Widens the fit's own ranges by this factor, because the runs are coarser than the pours they are compared with.
 * Measured on the demo's world, where the truth is known.
 */
const COARSE = 1.2;
const ROUNDS = 6;
const STEPS = 12;
/** The fit stops once a step moves no unknown by more than this, in spreads; shared offsets likewise. */
const STILL = 2e-3;

interface Told {
  readonly kinds: readonly OutcomeKind[];
  readonly measured: Outcomes;
  readonly runs: readonly Outcomes[];
  /** A row for each outcome: what each shared offset does to it. */
  readonly shared: readonly (readonly number[])[];
  /** The colors of one face add up, and its cells are seen on one photo: each group of a pour weighs as much as one. */
  readonly weights: readonly number[];
}

function toldOf({ measured, runs }: FitPour): Told {
  const compared = comparedOf(measured);
  const kinds = compared.map(({ kind }) => kind);
  const outcomes = (of: FitMeasures) => compared.map(({ read }) => read(of));
  const colors = kinds.filter((kind) => kind === 'color').length;
  const usual = outcomes(runs[0]!);
  const colored = usual.reduce((sum, value, of) => sum + (kinds[of] === 'color' ? value : 0), 0);
  return {
    ...{ kinds, measured: outcomes(measured), runs: runs.map(outcomes) },
    weights: kinds.map((kind) => {
      if (kind === 'color') return 1 / colors;
      return isOfCells(kind) ? 1 / kinds.filter(isOfCells).length : 1;
    }),
    // So much more base is open, and so much less color in proportion.
    shared: kinds.map((kind, of) =>
      SHARED_KINDS.map((each) => {
        if (each === kind) return SHARED_APART[each];
        return each === 'open' && kind === 'color'
          ? (-SHARED_APART.open * usual[of]!) / Math.max(1e-9, colored)
          : 0;
      }),
    ),
  };
}

interface Apart {
  readonly share: number;
  readonly ln: number;
}

interface Fitted {
  /** Of the unknowns; then how far all pours are apart the same way, in spreads of it. */
  readonly offset: Offset;
  readonly covariance: Matrix;
}

const ALL = FIT_NAMES.length + SHARED_KINDS.length;
const PRIOR: Fitted = { offset: Array.from({ length: ALL }, () => 0), covariance: Matrix.eye(ALL) };
const isOfCells = (kind: OutcomeKind): boolean => kind !== 'open' && kind !== 'color';

/**
 * The offsets that tell the pours best, and how sure each is: breath and shear by what of the face is open and colored; then what opens a sheet by its
 * cells, with breath and shear as sure as they have become.
 *
 * Law: two fits, the second of which does not speak back (a cut, Plummer 2015, from memory): how thin the air has blown a sheet is the weakest of
 * the film's answers, and hundreds of cells would otherwise outvote the face.
 */
function fit(pours: readonly Told[]): Fitted {
  const paint = fitTo(
    pours.map((pour) => only(pour, (kind) => !isOfCells(kind))),
    PRIOR,
  );
  const cells = fitTo(
    pours.map((pour) => only(pour, isOfCells)),
    paint,
  );
  const isCell = (at: number) => at >= PAINT_NAMES.length && at < FIT_NAMES.length;
  const covariance = paint.covariance.clone();
  for (let at = 0; at < FIT_NAMES.length; at += 1) {
    if (isCell(at)) covariance.set(at, at, cells.covariance.get(at, at));
  }
  return { offset: paint.offset.map((each, at) => (isCell(at) ? cells.offset[at]! : each)), covariance };
}

/** Only some kinds of outcomes of a pour. */
function only(pour: Told, wanted: (kind: OutcomeKind) => boolean): Told {
  const pick = <Item>(items: readonly Item[]) => items.filter((_, of) => wanted(pour.kinds[of]!));
  return {
    ...{ kinds: pick(pour.kinds), measured: pick(pour.measured), runs: pour.runs.map(pick) },
    ...{ shared: pick(pour.shared), weights: pick(pour.weights) },
  };
}

/**
 * Law: least squares with a normal prior, by Gauss and Newton's steps on the emulated film; the distance that is left between film and photo is
 * taken from the pours themselves, and more unknowns stand for what all of them are off the same way: without them the ranges would be
 * as narrow as many pours make them, around a value that a coarse film has moved (standard statistics).
 */
function fitTo(pours: readonly Told[], prior: Fitted): Fitted {
  const before = inverse(prior.covariance);
  let { offset, covariance } = prior;
  let apart: Apart = { share: APART.share.first, ln: APART.ln.first };
  for (let round = 0; round < ROUNDS; round += 1) {
    let moved = Infinity;
    for (let step = 0; step < STEPS && moved > STILL; step += 1) {
      const { normal, right } = normalOf(pours, offset, apart);
      covariance = inverse(normal.add(before));
      const next = covariance
        .mmul(right.add(before.mmul(Matrix.columnVector([...prior.offset]))))
        .to1DArray();
      moved = Math.max(...next.map((each, at) => Math.abs(each - offset[at]!)));
      // Half a step is safe where the parabola bends.
      offset = offset.map((each, at) => each + 0.5 * (next[at]! - each));
    }
    const last = apart;
    apart = leftApart(pours, offset);
    if (Math.abs(apart.share / last.share - 1) + Math.abs(apart.ln / last.ln - 1) < STILL) break;
  }
  return { offset, covariance };
}

/** The normal equations of one step: what is told there, made straight. */
function normalOf(pours: readonly Told[], offset: Offset, apart: Apart): { normal: Matrix; right: Matrix } {
  const k = offset.length;
  const normal = Matrix.zeros(k, k).to2DArray();
  const right = new Array<number>(k).fill(0);
  for (const pour of pours) {
    const told = toldAt(pour, offset);
    const slopes = slopesAt(pour.runs, offset);
    pour.measured.forEach((value, of) => {
      const row = [...slopes[of]!, ...pour.shared[of]!];
      const weight = pour.weights[of]! / (isShare(pour.kinds[of]!) ? apart.share : apart.ln) ** 2;
      const ahead = value - told[of]! + row.reduce((sum, each, at) => sum + each * offset[at]!, 0);
      for (let a = 0; a < k; a += 1) {
        const scaled = weight * row[a]!;
        if (scaled === 0) continue;
        right[a]! += scaled * ahead;
        const into = normal[a]!;
        for (let b = 0; b < k; b += 1) into[b]! += scaled * row[b]!;
      }
    });
  }
  return { normal: new Matrix(normal), right: Matrix.columnVector(right) };
}

function toldAt({ runs, shared }: Told, offset: Offset): number[] {
  return emulate(runs, offset).map((value, of) =>
    SHARED_KINDS.reduce((sum, _, at) => sum + shared[of]![at]! * (offset[FIT_NAMES.length + at] ?? 0), value),
  );
}

/** Root mean square of what the film leaves, a pour's colors counting as one. */
function leftApart(pours: readonly Told[], offset: Offset): Apart {
  const left = (ofShares: boolean, { least, first }: (typeof APART)['share' | 'ln']): number => {
    let [sum, count] = [0, 0];
    for (const pour of pours) {
      const told = toldAt(pour, offset);
      pour.measured.forEach((value, of) => {
        if (isShare(pour.kinds[of]!) !== ofShares) return;
        sum += pour.weights[of]! * (value - told[of]!) ** 2;
        count += pour.weights[of]!;
      });
    }
    if (count === 0) return first;
    // Three unknowns of the paint, three of the cells.
    return Math.max(least, Math.sqrt(sum / Math.max(1, count - FIT_NAMES.length / 2)));
  };
  return { share: left(true, APART.share), ln: left(false, APART.ln) };
}

/** By the values alone, as a rehearsal uses them: what all pours are off the same way is no part of them. */
function errorOf(pours: readonly Told[], offsets: (at: number) => Offset): FitError {
  const sums = new Map<OutcomeKind, { sum: number; pours: number }>();
  pours.forEach(({ kinds, weights, measured, runs }, at) => {
    const told = emulate(runs, offsets(at));
    measured.forEach((value, of) => {
      const kind = kinds[of]!;
      const { sum, pours: count } = sums.get(kind) ?? { sum: 0, pours: 0 };
      const weight = weights[of]!;
      sums.set(kind, { sum: sum + weight * Math.abs(value - told[of]!), pours: count + weight });
    });
  });
  const mean = (kind: OutcomeKind) => {
    const found = sums.get(kind);
    return found ? found.sum / found.pours : null;
  };
  return {
    negativeSpace: mean('open') ?? 0,
    coverage: mean('color'),
    sheet: mean('sheet'),
    cellsLn: mean('count'),
  };
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
  const told = pours.map(toldOf);
  const { offset, covariance } = fit(told);
  const others = told.map((_, at) => fit(told.toSpliced(at, 1)).offset);
  const before = errorOf(told, () => USUAL);
  const after = errorOf(told, (at) => others[at]!);
  const total = ({ negativeSpace, coverage, sheet }: FitError) =>
    negativeSpace + (coverage ?? 0) + (sheet ?? 0);
  return {
    values: valuesAt(offset),
    sdLn: Object.fromEntries(
      FIT_NAMES.map((name, at) => [
        name,
        Math.min(PRIOR_SD_LN[name], COARSE * PRIOR_SD_LN[name] * Math.sqrt(covariance.get(at, at))),
      ]),
    ) as Record<FitName, number>,
    n: pours.length,
    nCells: told.filter(({ kinds }) => kinds.includes('size')).length,
    ...{ before, after },
    helps: total(after) < (1 - LEAST_GAIN) * total(before),
  };
}
