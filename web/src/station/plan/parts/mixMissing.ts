import { isShort } from '@icy-ribbon/core/piece/check';
import type { Cup, usePiece } from '#store/piece/piece.ts';
import type { usePlan } from '#store/plan/plan.ts';

const LEAST_MG = 1000;

/**
 * Puts cups on the bench for what the plan is short of: a planned cup under its own id, so that the plan
 * goes on pouring it; a cup that is there grows, with the parts that are really in it.
 *
 * @param onlyId the paint to mix; left out, all that are short
 * @returns how many cups wait to be weighed in now
 */
export async function mixMissing(
  plan: ReturnType<typeof usePlan>,
  store: ReturnType<typeof usePiece>,
  onlyId: string | null,
): Promise<number> {
  const wanted = (plan.reckoning.amounts?.paints ?? []).filter(({ cupId }) => !onlyId || cupId === onlyId);
  let made = 0;
  for (const { cupId, massG } of wanted) {
    const planned = plan.planned.find((cup) => cup.id === cupId);
    const cup = store.cups.find(({ mix }) => mix.id === cupId);
    const leftMg = cup?.state.phase === 'mixed' ? cup.state.leftMg : 0;
    if (!isShort(leftMg / 1000, massG)) continue;
    const missingMg = Math.max(LEAST_MG, Math.ceil((massG * 1000 - leftMg) / 100) * 100);
    if (planned) {
      await store.addCup({
        id: planned.id,
        role: planned.role,
        recipeId: planned.recipeId,
        variant: planned.variant,
        name: planned.name,
        totalMg: missingMg,
        ...(planned.materialId && { materialId: planned.materialId }),
        blend: planned.blend,
      });
    } else if (cup?.state.phase === 'planned') {
      if (cup.state.targetMg < missingMg) await store.changeCup(cup.mix, { totalMg: missingMg });
    } else if (cup?.state.phase === 'mixed') {
      await store.retarget(cup.mix, grownTo(cup, missingMg));
    }
    made += 1;
  }
  return made;
}

/** Targets by which a mixed cup gets so much more of just what is in it, with whatever thinned it. */
function grownTo({ mix, state }: Cup, missingMg: number): number[] {
  const { actualIngredientMg, actualMg } = state;
  return mix.ingredients.map(({ targetMg }, index) => {
    const heldMg = actualIngredientMg[index] ?? 0;
    return Math.max(targetMg, heldMg) + Math.round((missingMg * heldMg) / actualMg);
  });
}
