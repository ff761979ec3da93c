import { shapeOfStep, type LaidShape, type Mark, type RunStep } from '@icy-ribbon/core/piece/event';
import type { Place } from '@icy-ribbon/core/piece/plan';
import { computed, ref, watch, type Ref } from 'vue';
import { usePiece } from '#store/piece/piece.ts';
import { usePlan } from '#store/plan/plan.ts';
import type { DrawnFor } from './eventDraft.ts';
import type { Stroke } from './laidShape.ts';
import type { PourMode } from './usePourMode.ts';

/** What the hand draws on the support for what is logged next, and what is shown there before it is done. */
export function useDrawn(mode: Ref<PourMode>, next: Ref<RunStep | undefined>, instead: Ref<RunStep | null>) {
  const store = usePiece();
  const plan = usePlan();
  const stroke = ref<Stroke | null>(null);
  const drawnFor = ref<DrawnFor>({ mark: null, shape: null });
  const repairMark = ref<Mark | null>(null);
  const layShape = ref<LaidShape | null>(null);
  watch(mode, () => {
    stroke.value = null;
    drawnFor.value = { mark: null, shape: null };
    repairMark.value = null;
  });

  /** Where the next layer goes: as planned, or as it was drawn. */
  const planned = computed(() => {
    const step = mode.value === 'sheet' ? next.value : mode.value === 'lay' ? instead.value : null;
    return step && store.piece ? shapeOfStep(plan.body, step, store.piece.support) : null;
  });
  const nextShape = computed(() =>
    mode.value === 'lay' ? layShape.value : (drawnFor.value.shape ?? planned.value),
  );
  /** What was touched, and what is about to be. */
  const marks = computed(() =>
    store.events.flatMap(({ data }) => ('mark' in data && data.mark ? [data.mark] : [])),
  );
  const nextMark = computed(() => {
    if (mode.value === 'repair') return repairMark.value;
    const step = mode.value === 'sheet' ? next.value : undefined;
    return drawnFor.value.mark ?? (step && 'mark' in step ? step.mark : null);
  });
  const stroked = (start: Place, end: Place) => (stroke.value = { start, end });

  return { stroke, drawnFor, repairMark, layShape, planned, nextShape, marks, nextMark, stroked };
}
