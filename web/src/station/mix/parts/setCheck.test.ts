import type { ShelvedMaterial } from '@icy-ribbon/contract';
import { cupCostCents } from '#store/cupCost.ts';
import { shortMaterials } from './setCheck.ts';

const shelf = (id: string, more: Partial<ShelvedMaterial>) =>
  ({ id, name: id, stockMg: null, usedMg: 0, priceCents: null, packMg: null, ...more }) as ShelvedMaterial;
const cup = (
  ...parts: readonly (readonly [id: string, targetMg: number, inMg: number, kind?: string])[]
) => ({
  mix: {
    ingredients: parts.map(([materialId, targetMg, , kind = 'artist-tube']) => ({
      targetMg,
      material: { materialId, kind },
    })),
  } as never,
  state: {
    actualIngredientMg: parts.map(([, , inMg]) => inMg),
    actualMg: parts.reduce((sum, [, , inMg]) => sum + inMg, 0),
    leftMg: parts.reduce((sum, [, , inMg]) => sum + inMg, 0),
  },
});

it('says before mixing what will not reach, over all cups of the set and what was used since counting', () => {
  const cups = [cup(['rust', 15_000, 5_000], ['medium', 30_000, 0]), cup(['rust', 15_000, 0])];
  const found = shortMaterials(cups, [
    shelf('rust', { stockMg: 30_000, usedMg: 8_000 }),
    shelf('medium', { stockMg: 30_000 }),
  ]);
  expect(found).toEqual([{ name: 'rust', needMg: 25_000, leftMg: 22_000 }]);
});

it('keeps silent about what nobody counted', () => {
  expect(shortMaterials([cup(['rust', 15_000, 0])], [shelf('rust', {})])).toEqual([]);
});

it('a cup costs its grams of each pack; water is free', () => {
  const { mix } = cup(['rust', 15_000, 0], ['medium', 30_000, 0], ['water', 11_250, 0, 'water']);
  const priced = [
    shelf('rust', { priceCents: 1200, packMg: 120_000 }),
    shelf('medium', { priceCents: 1000, packMg: 1_000_000 }),
  ];
  expect(cupCostCents(mix, priced)).toBeCloseTo(150 + 30, 9);
  expect(cupCostCents(mix, [priced[0]!])).toBeUndefined();
});

it('what is left of a medium made for the set is there already', () => {
  const medium = cup(['base', 60_000, 60_000]);
  const made = { ...medium, mix: { ...(medium.mix as object), role: 'medium' } as never };
  const colors = cup(['base', 70_000, 0]);
  const counted = [shelf('base', { stockMg: 60_000, usedMg: 60_000 })];
  expect(shortMaterials([colors, made], counted)).toEqual([{ name: 'base', needMg: 10_000, leftMg: 0 }]);
});
