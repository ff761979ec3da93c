import { InputError } from '../../base/error/index.ts';
import { normalBelow, normalDensity } from '../../base/statistics/index.ts';

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

/**
 * The belief after an observation that a weighted sum of the unknowns lies below a value.
 *
 * Law: mean and variance of the normal distribution cut off at the value, less and less sharply with its spread
 * (moment matching, standard statistics).
 *
 * @throws InputError naming "sd" or the unknown that the belief does not speak of
 */
export function observeBelow(belief: Belief, weights: Weights, value: number, sd: number): Belief {
  if (!(sd > 0)) throw new InputError('sd', 'The spread of a reading must be above 0.');
  const { mean, variance } = predict(belief, weights);
  const spread = Math.sqrt(variance + sd ** 2);
  const reach = (value - mean) / spread;
  // Far beyond all doubt the share that is left is too small to divide by: the limit of a sharp edge stands in.
  const pull = reach < -6 ? -reach - 1 / reach : normalDensity(reach) / normalBelow(reach, 0, 1);
  const shrink = pull * (pull + reach);
  if (shrink < 1e-9) return belief;
  // The same change as by one reading of this spread: observing it keeps all that hangs together.
  const asRead = spread ** 2 / shrink - variance;
  if (!(asRead > 0)) return belief;
  const moved = mean - (pull / shrink) * spread;
  return observe(belief, weights, moved, Math.sqrt(asRead));
}

/** What the belief expects of a weighted sum. */
export function expected(belief: Belief, weights: Weights): { readonly mean: number; readonly sd: number } {
  const entries = entriesOf(belief, weights);
  let mean = 0;
  let variance = 0;
  for (const { at, weight } of entries) {
    mean += weight * (belief.mean[at] ?? 0);
    const row = belief.covariance[at] ?? [];
    for (const other of entries) variance += weight * other.weight * (row[other.at] ?? 0);
  }
  return { mean, sd: Math.sqrt(Math.max(0, variance)) };
}

function predict(belief: Belief, weights: Weights) {
  const entries = entriesOf(belief, weights);
  const gain = belief.covariance.map((row) =>
    entries.reduce((sum, { at, weight }) => sum + weight * (row[at] ?? 0), 0),
  );
  return {
    gain,
    mean: entries.reduce((sum, { at, weight }) => sum + weight * (belief.mean[at] ?? 0), 0),
    variance: entries.reduce((sum, { at, weight }) => sum + weight * (gain[at] ?? 0), 0),
  };
}

/** Where each weighted unknown stands in the belief. */
function entriesOf(belief: Belief, weights: Weights): { readonly at: number; readonly weight: number }[] {
  const places = placesOf(belief.names);
  return Object.entries(weights).map(([name, weight]) => {
    const at = places.get(name);
    if (at === undefined) throw new InputError(name, `Nothing is known of "${name}".`);
    return { at, weight };
  });
}

/** A belief is asked again and again while an addition is looked for. */
const known = new WeakMap<readonly string[], ReadonlyMap<string, number>>();
function placesOf(names: readonly string[]): ReadonlyMap<string, number> {
  const places = known.get(names) ?? new Map(names.map((name, at) => [name, at]));
  known.set(names, places);
  return places;
}
