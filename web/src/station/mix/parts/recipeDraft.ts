import type { RecipeInput } from '#store/recipes.ts';

export const emptyRecipe = (): RecipeInput => ({
  name: '',
  parts: [
    { of: { kind: 'material', material: 'flow-conditioner' }, amount: 2, unit: 'part' },
    { of: { kind: 'paint' }, amount: 1, unit: 'part' },
    { of: { kind: 'material', material: 'water' }, amount: 0.5, unit: 'part' },
  ],
  techniques: ['dutch'],
  cupRoles: ['base', 'color'],
  goodFor: '',
  trouble: '',
  thinning: null,
  restHours: null,
  waterLimit: null,
  doseFactor: null,
  never: null,
  blend: null,
});

/** A part's source as one word for a drop-down list, and back. */
export const sourceKey = (source: RecipeInput['parts'][number]['of']): string =>
  source.kind === 'material'
    ? `material ${source.material}`
    : source.kind === 'recipe'
      ? `recipe ${source.recipe}`
      : source.kind;

export function sourceOf(key: string): RecipeInput['parts'][number]['of'] {
  const [kind, id = ''] = key.split(/ (.*)/);
  if (kind === 'material') return { kind, material: id as 'water' };
  if (kind === 'recipe') return { kind, recipe: id };
  return { kind: kind === 'white' ? 'white' : 'paint' };
}
