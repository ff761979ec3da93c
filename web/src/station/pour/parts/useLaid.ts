import { planOfPour } from '@icy-ribbon/core/piece/event';
import { cupPaint, EMPTY_PLAN } from '@icy-ribbon/core/piece/plan';
import { computed } from 'vue';
import type { PlanContext } from '#drawing/plan.ts';
import { useEquipment } from '#store/equipment.ts';
import { usePiece } from '#store/piece/piece.ts';

/** What lies on the support by now, as a plan that can be drawn. */
export function useLaid() {
  const store = usePiece();
  const equipment = useEquipment();

  const paints = computed(() =>
    store.paints.map(({ mix, state, colorHex }) => cupPaint(mix, state.properties, colorHex)),
  );
  const laid = computed<PlanContext | null>(() => {
    const support = store.piece?.support;
    if (!support) return null;
    let made = 0;
    const plan =
      store.layers.length === 0
        ? EMPTY_PLAN
        : planOfPour(store.log, paints.value, support, () => `laid ${(made += 1)}`);
    // Passes are drawn as they were logged, not as far as they would carry the paint.
    return { plan: { ...plan, passes: [] }, support, paints: paints.value, blowers: equipment.blowers };
  });

  const isLaid = (cupId: string) => store.layers.some((layer) => layer.data.cupId === cupId);
  /** Every cup is empty or was laid down. */
  const nothingToLay = computed(
    () =>
      store.paints.length > 0 && store.paints.every(({ mix, state }) => state.leftMg === 0 || isLaid(mix.id)),
  );

  return { laid, nothingToLay, paints };
}
