import { determinant, inverse, Matrix } from 'ml-matrix';
import { gaussian, seededRandom } from '../random/index.ts';
import { NINE_IN_TEN, partialPooling, type Grouped } from './index.ts';

const SPREAD = { all: 0.5 };

/**
 * The same prediction by the covariance of the numbers themselves instead of by effects: y ~ N(0, Z D Z' + s² I), the
 * textbook's other form (Gaussian conditioning, standard statistics).
 */
function byCovariance(seen: readonly Grouped[], groups: readonly string[]) {
  const shared = (a: readonly string[], b: readonly string[], between: number) =>
    a
      .filter((name) => b.includes(name))
      .reduce((sum, name) => sum + (name === 'all' ? SPREAD.all : between) ** 2, 0);
  const y = Matrix.columnVector(seen.map(({ value }) => value));
  let [total, mean, square] = [0, 0, 0];
  for (const between of [0.03, 0.1, 0.2, 0.35, 0.55]) {
    for (const within of [0.08, 0.12, 0.18, 0.27, 0.4, 0.6]) {
      const covariance = new Matrix(
        seen.map((a, i) =>
          seen.map((b, j) => shared(a.groups, b.groups, between) + (i === j ? within ** 2 : 0)),
        ),
      );
      const inverted = inverse(covariance);
      const cross = Matrix.rowVector(seen.map((each) => shared(groups, each.groups, between)));
      const likelihood =
        Math.exp(-0.5 * y.transpose().mmul(inverted).mmul(y).get(0, 0)) / Math.sqrt(determinant(covariance));
      const here = cross.mmul(inverted).mmul(y).get(0, 0);
      const variance =
        shared(groups, groups, between) +
        within ** 2 -
        cross.mmul(inverted).mmul(cross.transpose()).get(0, 0);
      total += likelihood;
      mean += likelihood * here;
      square += likelihood * (here ** 2 + variance);
    }
  }
  return { mean: mean / total, sd: Math.sqrt(square / total - (mean / total) ** 2) };
}

it('says what Gaussian conditioning says', () => {
  const seen: Grouped[] = [
    { value: 0.4, groups: ['all', 'a'] },
    { value: 0.6, groups: ['all', 'a', 'x'] },
    { value: -0.1, groups: ['all', 'b', 'x'] },
    { value: 0.05, groups: ['all', 'b'] },
  ];
  for (const groups of [['all', 'a'], ['all', 'b', 'x'], ['all', 'never seen'], ['all']]) {
    const [said, other] = [partialPooling(seen, SPREAD)(groups), byCovariance(seen, groups)];
    expect(said.mean).toBeCloseTo(other.mean, 9);
    expect(said.sd).toBeCloseTo(other.sd, 9);
  }
});

it('without a number knows nothing but the spreads', () => {
  const { mean, sd } = partialPooling([], SPREAD)(['all']);
  expect(mean).toBe(0);
  const scatter = [0.08, 0.12, 0.18, 0.27, 0.4, 0.6].reduce((sum, each) => sum + each ** 2, 0) / 6;
  expect(sd).toBeCloseTo(Math.sqrt(0.25 + scatter), 12);
});

it('many numbers of a group are believed, a group of one is pulled to the others', () => {
  const many = Array.from({ length: 40 }, (_, index) => ({
    value: 0.8 + (index % 2 ? 0.1 : -0.1),
    groups: ['all', 'a'],
  }));
  const predict = partialPooling([...many, { value: 0.2, groups: ['all', 'b'] }], SPREAD);
  expect(predict(['all', 'a']).mean).toBeCloseTo(0.8, 2);
  const alone = predict(['all', 'b']).mean;
  expect(alone).toBeGreaterThan(0.2);
  expect(alone).toBeLessThan(0.8);
});

it('nine of ten further numbers lie in its range, in 600 invented studios of 0 to 20 numbers', () => {
  const random = seededRandom(8);
  let inside = 0;
  for (let studio = 0; studio < 600; studio += 1) {
    const [between, within] = [0.05 + 0.45 * random(), 0.1 + 0.4 * random()];
    const effects = {
      all: 0.5 * gaussian(random),
      a: between * gaussian(random),
      b: between * gaussian(random),
    };
    const next = (): Grouped => {
      const own = random() < 0.6 ? 'a' : 'b';
      return { value: effects.all + effects[own] + within * gaussian(random), groups: ['all', own] };
    };
    const seen = Array.from({ length: Math.floor(21 * random()) }, next);
    const { value, groups } = next();
    const { mean, sd } = partialPooling(seen, SPREAD)(groups);
    if (Math.abs(value - mean) <= NINE_IN_TEN * sd) inside += 1;
  }
  expect(inside / 600).toBeGreaterThan(0.87);
  expect(inside / 600).toBeLessThan(0.95);
});
