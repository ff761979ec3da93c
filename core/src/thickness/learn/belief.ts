import { InputError } from '../../base/error/index.ts';

/** What is known of some numbers at once: a joint Gaussian. */
export interface Belief {
  readonly names: readonly string[];
  readonly mean: readonly number[];
  readonly covariance: readonly (readonly number[])[];
}

/** How much of each unknown goes into what is seen. */
export type Weights = Readonly<Record<string, number>>;

/** A belief that knows each number by itself. */
export function beliefOf(
  priors: readonly { readonly name: string; readonly mean: number; readonly sd: number }[],
): Belief {
  return {
    names: priors.map((each) => each.name),
    mean: priors.map((each) => each.mean),
    covariance: priors.map(({ sd }, row) => priors.map((_, column) => (row === column ? sd ** 2 : 0))),
  };
}

/** A belief with one more number in it, independent of the others; unchanged when it knows the name. */
export function withUnknown(belief: Belief, name: string, mean: number, sd: number): Belief {
  if (belief.names.includes(name)) return belief;
  return {
    names: [...belief.names, name],
    mean: [...belief.mean, mean],
    covariance: [...belief.covariance.map((row) => [...row, 0]), [...belief.names.map(() => 0), sd ** 2]],
  };
}

/** A belief that no longer speaks of one number; what it taught about the others stays. */
export function forget(belief: Belief, name: string): Belief {
  const gone = belief.names.indexOf(name);
  const keep = <Value>(values: readonly Value[]) => values.filter((_, index) => index !== gone);
  return {
    names: keep(belief.names),
    mean: keep(belief.mean),
    covariance: keep(belief.covariance).map(keep),
  };
}

/**
 * The belief after one more observation of a weighted sum of the unknowns.
 *
 * Law: conjugate Gaussian update (Bayesian linear regression, one row at a time; standard statistics).
 *
 * @param value what was seen; @param sd its spread, above 0
 * @throws InputError naming "sd" or the unknown that the belief does not speak of
 */
export function observe(belief: Belief, weights: Weights, value: number, sd: number): Belief {
  if (!(sd > 0)) throw new InputError('sd', 'The spread of a reading must be above 0.');
  const { mean, variance, gain } = predict(belief, weights);
  const total = variance + sd ** 2;
  return {
    names: belief.names,
    mean: belief.mean.map((each, at) => each + ((gain[at] ?? 0) * (value - mean)) / total),
    covariance: belief.covariance.map((row, at) =>
      row.map((each, other) => each - ((gain[at] ?? 0) * (gain[other] ?? 0)) / total),
    ),
  };
}

/** What the belief expects of a weighted sum. */
export function expected(belief: Belief, weights: Weights): { readonly mean: number; readonly sd: number } {
  const { mean, variance } = predict(belief, weights);
  return { mean, sd: Math.sqrt(Math.max(0, variance)) };
}

function predict(belief: Belief, weights: Weights) {
  const entries = Object.entries(weights).map(([name, weight]) => {
    const at = belief.names.indexOf(name);
    if (at < 0) throw new InputError(name, `Nothing is known of "${name}".`);
    return { at, weight };
  });
  const gain = belief.covariance.map((row) =>
    entries.reduce((sum, { at, weight }) => sum + weight * (row[at] ?? 0), 0),
  );
  return {
    gain,
    mean: entries.reduce((sum, { at, weight }) => sum + weight * (belief.mean[at] ?? 0), 0),
    variance: entries.reduce((sum, { at, weight }) => sum + weight * (gain[at] ?? 0), 0),
  };
}
