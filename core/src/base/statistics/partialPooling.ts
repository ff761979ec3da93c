import { cholesky } from './cholesky.ts';

/** A number with the groups it belongs to. */
export interface Grouped {
  readonly value: number;
  readonly groups: readonly string[];
}

/** What is believed of a next number: normal, near enough. */
export interface Prediction {
  readonly mean: number;
  /** Of one more number, its own scatter included. */
  readonly sd: number;
}

/** Scatter within a group, and of the groups, that are held possible, all alike before anything was seen. */
const WITHIN_SD: readonly number[] = [0.08, 0.12, 0.18, 0.27, 0.4, 0.6];
const BETWEEN_SD = [0.03, 0.1, 0.2, 0.35, 0.55];

/**
 * What a next number of some groups will be, each number being the sum of an effect of every group it belongs to and
 * of scatter.
 *
 * Law: partial pooling. Effects are normal around 0; those of `spread` with a given sd, all others with a common one,
 * which is learned along with the scatter (each weighed by its marginal likelihood over a grid). A group that was never
 * seen is as its kind. Standard Bayesian practice: Lindley & Smith 1972 (from memory).
 *
 * @param spread sd of the effects of the groups it names
 * @param scatter sds within a group that are held possible
 * @returns a function from groups to the prediction
 */
export function partialPooling(
  seen: readonly Grouped[],
  spread: Readonly<Record<string, number>>,
  scatter: readonly number[] = WITHIN_SD,
): (groups: readonly string[]) => Prediction {
  const names = [...new Set(seen.flatMap(({ groups }) => groups))];
  const place = new Map(names.map((name, index) => [name, index]));
  const fits = BETWEEN_SD.flatMap((between) =>
    scatter.map((within) => fit(seen, place, (name) => spread[name] ?? between, within)),
  );
  const best = Math.max(...fits.map(({ logLikelihood }) => logLikelihood));
  const weights = fits.map(({ logLikelihood }) => Math.exp(logLikelihood - best));
  const total = weights.reduce((sum, weight) => sum + weight, 0);
  return (groups) => {
    let [mean, square] = [0, 0];
    fits.forEach((each, index) => {
      const said = each.of(groups);
      const share = weights[index]! / total;
      mean += share * said.mean;
      square += share * (said.mean ** 2 + said.variance);
    });
    return { mean, sd: Math.sqrt(Math.max(0, square - mean ** 2)) };
  };
}

/** Effects under one pair of scatters. */
function fit(
  seen: readonly Grouped[],
  place: ReadonlyMap<string, number>,
  sdOf: (name: string) => number,
  within: number,
) {
  const names = [...place.keys()];
  const precision = names.map((name, row) =>
    names.map((_, column) => (row === column ? sdOf(name) ** -2 : 0)),
  );
  const pull = new Float64Array(names.length);
  let squares = 0;
  for (const { value, groups } of seen) {
    const at = groups.map((name) => place.get(name)!);
    squares += (value / within) ** 2;
    for (const row of at) {
      pull[row]! += value / within ** 2;
      for (const column of at) {
        precision[row]![column]! += within ** -2;
      }
    }
  }
  const solved = cholesky(precision);
  const effects = solved.solve([...pull]);
  const covariance = names.map((_, row) => solved.solve(names.map((__, column) => (row === column ? 1 : 0))));
  const logPrecision = solved.logDeterminant;
  const logPrior = names.reduce((sum, name) => sum + 2 * Math.log(sdOf(name)), 0);
  const explained = effects.reduce((sum, effect, index) => sum + effect * pull[index]!, 0);
  return {
    logLikelihood:
      -0.5 * (2 * seen.length * Math.log(within) + logPrior + logPrecision + squares - explained),
    of(groups: readonly string[]) {
      let [mean, variance] = [0, within ** 2];
      for (const name of groups) {
        const row = place.get(name);
        if (row === undefined) {
          variance += sdOf(name) ** 2;
          continue;
        }
        mean += effects[row]!;
        for (const other of groups) {
          const column = place.get(other);
          if (column !== undefined) variance += covariance[row]![column]!;
        }
      }
      return { mean, variance };
    },
  };
}
