import type { PlannedCup } from '@icy-ribbon/contract';
import { api } from '@icy-ribbon/contract/addresses';
import type { Plan, PlanLayer } from '@icy-ribbon/core/piece/plan';
import { call } from '../api/client.ts';
import type { Cup } from './piece/piece.ts';

/**
 * Gives a new piece a scaled plan. Its cups are planned again from the recipes and paints of the old one; a
 * cup whose recipe is not known by now is left out of the plan with its layers.
 *
 * @param recipeIds other recipes for cups that shall not be made by their own
 */
export async function scaledPiece(
  pieceId: string,
  plan: Plan,
  cups: readonly Cup[],
  planned: readonly PlannedCup[],
  recipeIds: ReadonlyMap<string, string> = new Map(),
): Promise<void> {
  const known: PlannedCup[] = [...cups.map((cup) => asPlanned(cup, recipeIds.get(cup.mix.id))), ...planned];
  const fresh = new Map(known.map((cup) => [cup.id, crypto.randomUUID() as string]));
  const layers = (list: readonly PlanLayer[]) =>
    list.flatMap((layer) => {
      const cupId = fresh.get(layer.cupId);
      return cupId ? [{ ...layer, cupId }] : [];
    });
  const areas = plan.base?.areas.map((area) => ({ ...area, cupId: fresh.get(area.cupId) ?? '' }));
  const body = {
    ...plan,
    base: plan.base && areas?.every((area) => area.cupId) ? { ...plan.base, areas } : null,
    stacks: plan.stacks.map((stack) => ({ ...stack, layers: layers(stack.layers) })),
    paths: plan.paths.map((path) => ({ ...path, layers: layers(path.layers) })),
    planned: known.map((cup) => ({ ...cup, id: fresh.get(cup.id)! })),
    ticked: [],
    version: 0,
  };
  await call(api.plans.put, { params: { pieceId }, body: body as never });
}

function asPlanned({ mix }: Cup, recipeId: string | undefined): PlannedCup {
  const paint = mix.ingredients.find((each) => each.role === 'paint' || each.role === 'powder');
  return {
    id: mix.id,
    name: mix.name,
    role: mix.role,
    recipeId: recipeId ?? mix.recipe.id,
    variant: recipeId ? null : mix.recipe.variant,
    materialId: paint?.material.materialId ?? null,
    blend: mix.recipe.blend,
  };
}
