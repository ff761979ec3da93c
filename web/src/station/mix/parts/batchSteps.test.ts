import type { Mix } from '@icy-ribbon/contract';
import type { CupState } from '@icy-ribbon/core/paint/mix';
import { findSchool } from '@icy-ribbon/core/paint/recipe';
import { batchedMedium, splitBatch, stepsWithBatch } from './batchSteps.ts';

const part = (id: string, role: string, kind: string, targetMg: number) => ({
  id,
  role,
  targetMg,
  material: { kind, materialId: kind },
});

type Weighed = { ingredientId: string; mg: number; drawId: string | null };

const bloom = (additions: Weighed[] = []) =>
  ({
    recipe: { id: 'B1' },
    ingredients: [
      part('base', 'medium', 'untinted-base', 30_000),
      part('varnish', 'thinner', 'varnish', 10_000),
      part('color', 'paint', 'fluid', 20_000),
    ],
    additions,
  }) as unknown as Mix;

/** A bloom medium that came out a little long of varnish. */
const made = (phase = 'mixed', leftMg = 80_000) => ({
  mix: {
    id: 'made',
    name: 'Bloom medium',
    role: 'medium',
    recipe: { id: 'bloom-medium' },
    ingredients: [part('m1', 'medium', 'untinted-base', 60_000), part('m2', 'thinner', 'varnish', 20_000)],
  } as unknown as Mix,
  state: { phase, leftMg, actualIngredientMg: [60_000, 21_000] } as unknown as CupState,
});

const medium = (mix: Mix) => batchedMedium(mix, findSchool, [made()])!;
const open = (mix: Mix) =>
  stepsWithBatch(mix, medium(mix))
    .filter((step) => !step.done)
    .map((step) => `${step.portion} ${step.ingredientId} ${step.mg}`);

it('a medium that was made first goes in as one ingredient', () => {
  expect(open(bloom())).toEqual(['half medium made 20000', 'all color 20000', 'rest medium made 20000']);
});

it('what is poured of it counts as it came out at the scale, to the milligram', () => {
  const mix = bloom();
  const poured = splitBatch(medium(mix), 20_001);
  expect(poured.map((each) => each.mg)).toEqual([14_816, 5_185]);
  const after = bloom(poured.map((each) => ({ ...each, drawId: 'first' })));
  expect(open(after)).toEqual(['all color 20000', 'rest medium made 19999']);
});

it('a medium that is not mixed, or is empty, or a recipe without one, is weighed in as written', () => {
  expect(batchedMedium(bloom(), findSchool, [])).toBeUndefined();
  expect(batchedMedium(bloom(), findSchool, [made('weighing')])).toBeUndefined();
  expect(batchedMedium(bloom(), findSchool, [made('mixed', 0)])).toBeUndefined();
  const dutch = { ...bloom(), recipe: { id: 'D2' } } as Mix;
  expect(batchedMedium(dutch, findSchool, [made()])).toBeUndefined();
  expect(stepsWithBatch(bloom(), undefined).map((step) => step.ingredientId)).toEqual([
    'base',
    'color',
    'base',
    'varnish',
  ]);
});

it('a cup that was begun ingredient by ingredient goes on like that', () => {
  const begun = bloom([{ ingredientId: 'base', mg: 15_000, drawId: null }]);
  expect(batchedMedium(begun, findSchool, [made()])).toBeUndefined();
});
