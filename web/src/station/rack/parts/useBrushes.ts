import { fittingPaints, recipesFor } from '@icy-ribbon/core/paint/recipe';
import { computed, ref } from 'vue';
import { attempt } from '#notice/useTask.ts';
import { usePiece } from '#store/piece/piece.ts';
import { useRecipes } from '#store/recipes.ts';
import { useShelf } from '#store/shelf.ts';
import type { Brush } from './useSketch.ts';

/** A paint of the shelf as a brush, with what its cup still holds. */
export interface ShelvedBrush extends Brush {
  readonly densityGPerMl: number;
  readonly leftMg: number;
}

const USUAL_DENSITY = 1.15;

/** The paints that a change can be laid in: what the technique's first recipe takes, cups that hold some first. */
export function useBrushes() {
  const store = usePiece();
  const shelf = useShelf();
  const recipes = useRecipes();
  /** Until then no paint is in hand. */
  const shelved = attempt(() => Promise.all([shelf.ensure(), recipes.ensure()]));

  const recipe = computed(() => recipesFor(recipes.all, store.piece?.technique ?? 'dutch', 'color')[0]);
  const brushes = computed<ShelvedBrush[]>(() => {
    const inCups = new Map(
      store.cups.map(({ mix, state }) => [
        mix.ingredients.find(({ role }) => role === 'paint')?.material.materialId,
        state.leftMg,
      ]),
    );
    return fittingPaints(recipe.value, 'color', shelf.materials)
      .map(({ id, name, colorHex, densityGPerMl }) => ({
        ...{ materialId: id, name, colorHex, densityGPerMl },
        leftMg: inCups.get(id) ?? 0,
      }))
      .sort((a, b) => b.leftMg - a.leftMg);
  });
  const chosenId = ref('');
  const find = (materialId: string) => brushes.value.find((each) => each.materialId === materialId);
  const brush = computed(() => find(chosenId.value) ?? brushes.value[0]);
  const densityOf = (materialId: string) => find(materialId)?.densityGPerMl ?? USUAL_DENSITY;
  const heldMg = (materialId: string) => find(materialId)?.leftMg ?? 0;

  return { shelved, recipe, brushes, chosenId, brush, densityOf, heldMg };
}
