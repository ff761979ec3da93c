import type { usePiece } from '../../../store/piece/piece.ts';
import type { usePlan } from '../../../store/plan/plan.ts';

const LEAST_MG = 1000;

/**
 * Puts cups on the bench for what the plan is short of: a planned cup under its own id, so that the plan
 * goes on pouring it; a cup that is only weighed in grows while nothing is in it, else one more of the same
 * is put beside it.
 *
 * @param onlyId the paint to mix; left out, all that are short
 * @returns how many cups wait to be weighed in now
 */
export async function mixMissing(
  plan: ReturnType<typeof usePlan>,
  store: ReturnType<typeof usePiece>,
  onlyId: string | null,
): Promise<number> {
  const wanted = (plan.reckoning.amounts?.paints ?? []).filter(
    ({ paintId }) => !onlyId || paintId === onlyId,
  );
  let made = 0;
  for (const { paintId, massG } of wanted) {
    const planned = plan.planned.find((cup) => cup.id === paintId);
    const cup = store.cups.find(({ mix }) => mix.id === paintId);
    const leftMg = cup?.state.phase === 'mixed' ? cup.state.leftMg : 0;
    const missingMg = Math.max(LEAST_MG, Math.ceil((massG * 1000 - leftMg) / 100) * 100);
    if (massG * 1000 - leftMg <= 50) continue;
    if (planned) {
      await store.addCup({
        id: planned.id,
        role: planned.role,
        recipeId: planned.recipeId,
        variant: planned.variant,
        name: planned.name,
        totalMg: missingMg,
        ...(planned.paintId && { paintId: planned.paintId }),
      });
    } else if (cup?.state.phase === 'planned') {
      if (cup.state.targetMg < missingMg) await store.changeCup(cup.mix, { totalMg: missingMg });
    } else if (cup?.state.phase === 'mixed') {
      const paint = cup.mix.ingredients.find(({ role }) => role === 'paint' || role === 'powder');
      await store.addCup({
        role: cup.mix.role,
        recipeId: cup.mix.recipe.id,
        variant: cup.mix.recipe.variant,
        name: `${cup.mix.name}, more`.slice(0, 80),
        totalMg: missingMg,
        ...(paint && { paintId: paint.material.materialId }),
      });
    }
    made += 1;
  }
  return made;
}
