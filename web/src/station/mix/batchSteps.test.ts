import type { Mix } from '@icy-ribbon/contract';
import { findSchool } from '@icy-ribbon/core/recipe';
import { batchedMedium, splitBatch, stepsWithBatch } from './batchSteps.ts';

const part = (id: string, role: string, kind: string, targetMg: number) => ({
  id,
  role,
  targetMg,
  material: { kind },
});
const bloom = (additions: { ingredientId: string; mg: number }[] = []) =>
  ({
    recipe: { id: 'B1' },
    ingredients: [
      part('base', 'medium', 'untinted-base', 30_000),
      part('varnish', 'thinner', 'varnish', 10_000),
      part('color', 'paint', 'fluid', 20_000),
    ],
    additions,
  }) as unknown as Mix;

const medium = (mix: Mix) => batchedMedium(mix, findSchool, ['bloom-medium'])!;
const open = (mix: Mix) =>
  stepsWithBatch(mix, medium(mix))
    .filter((step) => !step.done)
    .map((step) => `${step.portion} ${step.ingredientId} ${step.mg}`);

it('a medium that was made first goes in as one ingredient', () => {
  expect(open(bloom())).toEqual([
    'half batch bloom-medium 20000',
    'all color 20000',
    'rest batch bloom-medium 20000',
  ]);
});

it('what is poured of it counts for each of its ingredients, to the milligram', () => {
  const mix = bloom();
  const poured = splitBatch(mix, medium(mix), 20_001);
  expect(poured.map((each) => each.mg)).toEqual([15_001, 5_000]);
  const after = bloom(poured);
  expect(open(after)[0]).toBe('all color 20000');
});

it('a medium that was not made, or a recipe without one, is weighed in as written', () => {
  expect(batchedMedium(bloom(), findSchool, [])).toBeUndefined();
  const dutch = { ...bloom(), recipe: { id: 'D2' } } as Mix;
  expect(batchedMedium(dutch, findSchool, ['bloom-medium'])).toBeUndefined();
  expect(stepsWithBatch(bloom(), undefined).map((step) => step.ingredientId)).toEqual([
    'base',
    'color',
    'base',
    'varnish',
  ]);
});
