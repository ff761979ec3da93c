import { gaussian, seededRandom, seededUuid } from './index.ts';

const draw = (seed: number, count: number) => {
  const random = seededRandom(seed);
  return Array.from({ length: count }, random);
};

it('the same seed gives the same stream, another seed another', () => {
  expect(draw(7, 5)).toEqual(draw(7, 5));
  expect(draw(7, 5)).not.toEqual(draw(8, 5));
});

it('is spread evenly over 0 to 1', () => {
  const values = draw(3, 20_000);
  const mean = values.reduce((a, b) => a + b, 0) / values.length;
  expect(mean).toBeCloseTo(0.5, 2);
  expect(Math.min(...values)).toBeGreaterThanOrEqual(0);
  expect(Math.max(...values)).toBeLessThan(1);
});

it('normal deviates have mean 0 and variance 1', () => {
  const random = seededRandom(11);
  const values = Array.from({ length: 20_000 }, () => gaussian(random));
  const mean = values.reduce((a, b) => a + b, 0) / values.length;
  const variance = values.reduce((a, b) => a + (b - mean) ** 2, 0) / values.length;
  expect(mean).toBeCloseTo(0, 1);
  expect(variance).toBeCloseTo(1, 1);
});

it('makes valid UUIDs', () => {
  expect(seededUuid(seededRandom(1))).toMatch(
    /^[0-9a-f]{8}-[0-9a-f]{4}-4[0-9a-f]{3}-[89ab][0-9a-f]{3}-[0-9a-f]{12}$/,
  );
});
