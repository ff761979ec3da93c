import { InputError } from '@icy-ribbon/core/base/error';
import { baseAreas } from '@icy-ribbon/core/piece/amount';
import { runSheet, stepStates, type RunStep } from '@icy-ribbon/core/piece/event';
import { openRepair } from '@icy-ribbon/core/piece/repair';
import { computed } from 'vue';
import { usePiece } from '#store/piece/piece.ts';
import { usePlan } from '#store/plan/plan.ts';

/** The steps of the plan, or of the repair that is being done, and which of them are still to be done. */
export function useRunSheet() {
  const store = usePiece();
  const plan = usePlan();
  const repair = computed(() => openRepair(store.log));
  const planned = computed<RunStep[]>(() => {
    if (!store.piece?.plan) return [];
    const amounts = plan.reckoning.amounts;
    const layer = (itemId: string, layerId: string) =>
      amounts?.layers.find(({ id }) => id === `${itemId} ${layerId}`)?.massG ?? 0;
    const base = (area: number) => baseGrams.value[area] ?? 0;
    return runSheet(plan.body, store.piece.support, { layer, base });
  });
  const steps = computed(() => repair.value?.steps ?? planned.value);
  const baseGrams = computed(() => {
    if (!plan.body.base || !store.piece) return [];
    try {
      return baseAreas(store.piece.support, plan.body.base, plan.paints).map(({ massG }) => massG);
    } catch (error) {
      if (error instanceof InputError) return [];
      throw error;
    }
  });
  const open = computed(() => {
    const states = stepStates(steps.value, store.events);
    return steps.value.filter((step) => states.get(step.id) === 'open');
  });
  const next = computed(() => open.value[0]);
  const hasSheet = computed(() => repair.value !== null || planned.value.length > 1);

  return { steps, open, next, hasSheet, repair };
}
