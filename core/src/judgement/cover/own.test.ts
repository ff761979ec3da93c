import { gaussian, seededRandom } from '../../base/random/index.ts';
import { learnCoverage, type CoveredPour } from './index.ts';

it('without any pour it says the forecast, and how little it knows', () => {
  const { covered, low, high, n } = learnCoverage([])(0.5, 'bloom');
  expect(covered).toBeCloseTo(0.5, 9);
  expect(low).toBeLessThan(0.25);
  expect(high).toBeGreaterThan(0.75);
  expect(n).toBe(0);
});

it('a studio that always covers more than forecast is believed', () => {
  const pours: CoveredPour[] = Array.from({ length: 8 }, () => ({
    technique: 'bloom',
    forecast: 0.35,
    covered: 0.6,
  }));
  const { covered, low, high } = learnCoverage(pours)(0.35, 'bloom');
  expect(covered).toBeGreaterThan(0.52);
  expect(high - low).toBeLessThan(0.35);
});

describe('its range holds what it claims: nine of ten (simulated studios)', () => {
  const random = seededRandom(7);
  const normal = () => gaussian(random);
  const share = (odds: number) => 1 / (1 + Math.exp(-odds));

  const worlds = [0.3, 0.7, 1].flatMap((scatter) => [0, 3, 10, 25].map((count) => [count, scatter] as const));

  it.each(worlds)('with %d pours seen, of an artist whose pours lie %d apart', (count, scatter) => {
    let inside = 0;
    const studios = 400;
    for (let studio = 0; studio < studios; studio += 1) {
      const off = 0.9 * normal();
      const bloom = 0.3 * normal();
      const pour = (): CoveredPour => {
        const odds = 1.5 * (random() - 0.5);
        return {
          technique: 'bloom',
          forecast: share(odds),
          covered: share(odds + off + bloom + scatter * normal()),
        };
      };
      const next = pour();
      const { low, high } = learnCoverage(Array.from({ length: count }, pour))(next.forecast, 'bloom');
      if (low <= next.covered && next.covered <= high) inside += 1;
    }
    expect(inside / studios).toBeGreaterThan(0.84);
    // How far an even hand's pours lie apart is only learned.
    if (scatter > 0.3 || count > 9) expect(inside / studios).toBeLessThan(0.97);
  });
});
