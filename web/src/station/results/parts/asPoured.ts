import type { OwnRecipeCreate, Piece } from '@icy-ribbon/contract';
import { isPaint } from '@icy-ribbon/core/paint/material';
import type { Cup } from '#store/piece/piece.ts';

/** A cup further than this from its recipe is not repeated by it. */
const STRAYED = 0.03;

/** Which ingredients are the cup's own paint: one, or those it is stirred together of. */
function paintsOf({ ingredients, recipe }: Cup['mix']): number[] {
  const own = ingredients.flatMap(({ material }, index) => (isPaint(material.kind) ? [index] : []));
  const blended = new Set(recipe.blend?.map(({ materialId }) => materialId));
  return blended.size > 0
    ? own.filter((at) => blended.has(ingredients[at]!.material.materialId))
    : own.slice(0, 1);
}

/**
 * The recipe of what was really weighed into a cup; undefined when that is its recipe anyway, or when
 * nothing was weighed.
 */
export function recipeAsPoured(
  { mix, state }: Cup,
  piece: Pick<Piece, 'name' | 'technique'>,
): Omit<OwnRecipeCreate, 'id'> | undefined {
  const actual = state.shownIngredientMg;
  const total = actual.reduce((sum, mg) => sum + mg, 0);
  const planned = mix.ingredients.reduce((sum, each) => sum + each.targetMg, 0);
  if (total <= 0 || planned <= 0) return undefined;
  const strays = mix.ingredients.some(
    (each, index) =>
      Math.abs((actual[index] ?? 0) / total - each.targetMg / planned) >
      STRAYED * (each.targetMg / planned || 1),
  );
  if (!strays) return undefined;
  const paints = paintsOf(mix);
  const gramsOf = (of: (index: number) => boolean) =>
    Number((actual.reduce((sum, mg, index) => sum + (of(index) ? mg : 0), 0) / 1000).toFixed(2));
  const parts = mix.ingredients.flatMap((each, index) => {
    if (paints.includes(index) && index !== paints[0]) return [];
    const isOwn = paints.includes(index);
    const amount = gramsOf((at) => (isOwn ? paints.includes(at) : at === index));
    if (amount <= 0) return [];
    const of = isOwn
      ? ({ kind: 'paint' } as const)
      : ({ kind: 'material', material: each.material.kind } as const);
    return [{ of, amount, unit: 'part' as const }];
  });
  return {
    name: `${mix.name} as in ${piece.name}`.slice(0, 80),
    parts,
    techniques: [piece.technique],
    cupRoles: [mix.role],
    goodFor: `As it was weighed for "${piece.name}".`,
    trouble: '',
    thinning: null,
    restHours: null,
    waterLimit: null,
    doseFactor: null,
    never: null,
    blend: mix.recipe.blend,
  };
}
