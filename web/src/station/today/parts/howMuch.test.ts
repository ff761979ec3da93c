import { SCHOOLS } from '@icy-ribbon/core/paint/recipe';
import { neededCups } from '@icy-ribbon/core/piece/amount';
import { howMuch } from './howMuch.ts';

const support = { shape: 'rectangle', widthMm: 300, heightMm: 400, sideDepthMm: 18 } as const;
const shelved = (kind: 'artist-tube' | 'flow-conditioner', changes = {}) => ({
  kind,
  name: kind,
  densityGPerMl: 1.2,
  priceCents: 1000,
  packMg: 100_000,
  stockMg: 250_000,
  usedMg: 0,
  ...changes,
});
const needed = neededCups({ technique: 'dutch', colors: 4, support });
const ask = (shelf: Parameters<typeof howMuch>[3]) => howMuch(needed, 'dutch', SCHOOLS, shelf);

it('what goes into the cups of a Dutch pour adds up to the cups, 2 : 1 : 0.75', () => {
  const { cups } = ask([]);
  expect(cups.map(({ role, count }) => [role, count])).toEqual([
    ['base', 1],
    ['color', 4],
  ]);
  for (const { massG, parts } of cups) {
    expect(parts.reduce((sum, part) => sum + part.massG, 0)).toBeCloseTo(massG, 9);
    expect(parts.map((part) => Number((part.massG / parts[1]!.massG).toFixed(2)))).toEqual([2, 1, 0.75]);
  }
});

it('media of all cups together against what is left on the shelf', () => {
  const totalG = needed.reduce((sum, { massG, count }) => sum + massG * count, 0);
  const [conditioner] = ask([shelved('flow-conditioner', { usedMg: 200_000 })]).materials;
  expect(conditioner!.massG).toBeCloseTo((2 / 3.75) * totalG, 9);
  expect(conditioner!.leftG).toBe(50);
  expect(ask([shelved('flow-conditioner', { stockMg: null })]).materials[0]!.leftG).toBeNull();
});

it('costs what paint and medium cost, water nothing; without a price nothing is said', () => {
  const totalG = needed.reduce((sum, { massG, count }) => sum + massG * count, 0);
  const { cents } = ask([shelved('flow-conditioner'), shelved('artist-tube', { priceCents: 3000 })]);
  expect(cents).toBeCloseTo((totalG / 3.75) * (2 * 10 + 30), 6);
  expect(ask([shelved('flow-conditioner')]).cents).toBeNull();
});
