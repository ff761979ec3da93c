import { forwardSelection, type Candidate, type Chosen } from './forwardSelection.ts';

/** Cases that each bend of the drift asks for. */
const CASES_PER_BEND = 8;
const MOST_BENDS = 8;

/**
 * `forwardSelection` on what is left of effect and candidates beside a smooth drift over their order: a cause
 * that only drifted along with the effect doesn't count.
 *
 * Law: partial regression (Frisch & Waugh 1933) on polynomials of the order, one bend for every eight cases; what is
 * left is turned by Householder's reflections (1958) into as many numbers as it has degrees of freedom, so that chance
 * is judged on no more than that.
 *
 * @param effect in the order of time; @param candidates likewise
 */
export function withoutDrift(effect: readonly number[], candidates: readonly Candidate[]): Chosen[] {
  const reflect = reflectionsOf(effect.length);
  const left = (values: readonly number[]) =>
    reflect.reduce((turned, axis) => reflected(turned, axis), values).slice(reflect.length);
  return forwardSelection(
    left(effect),
    candidates.map(({ name, values }) => ({ name, values: left(values) })),
  );
}

/** The reflections that turn the polynomials of the order, the constant first, onto the first coordinates. */
function reflectionsOf(cases: number): number[][] {
  const bends = Math.min(MOST_BENDS, Math.max(1, Math.floor(cases / CASES_PER_BEND)));
  const reflections: number[][] = [];
  for (let power = 0; power <= bends; power += 1) {
    const raw = Array.from(
      { length: cases },
      (_, at) => (cases > 1 ? (2 * at) / (cases - 1) - 1 : 0) ** power,
    );
    const axis = reflections
      .reduce<readonly number[]>((turned, each) => reflected(turned, each), raw)
      .map((value, at) => (at < power ? 0 : value));
    const length = Math.hypot(...axis);
    axis[power]! += Math.sign(axis[power]! || 1) * length;
    reflections.push(axis);
  }
  return reflections;
}

/** A vector mirrored in the plane across an axis. */
function reflected(values: readonly number[], axis: readonly number[]): number[] {
  let [along, square] = [0, 0];
  axis.forEach((each, at) => {
    along += each * values[at]!;
    square += each * each;
  });
  return values.map((value, at) => (square > 0 ? value - ((2 * along) / square) * axis[at]! : value));
}
