import { holdsSilicone } from './index.ts';

const ingredients = [{ material: { kind: 'artist-tube' } }, { material: { kind: 'silicone-oil' } }] as const;

it('a cup holds silicone as soon as a drop of it is in', () => {
  expect(holdsSilicone(ingredients, [10_000, 50])).toBe(true);
  expect(holdsSilicone(ingredients, [10_000, 0])).toBe(false);
  expect(holdsSilicone(ingredients.slice(0, 1), [10_000])).toBe(false);
});
