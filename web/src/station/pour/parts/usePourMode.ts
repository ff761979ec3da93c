import type { PourEvent } from '@icy-ribbon/contract';
import type { RunStep } from '@icy-ribbon/core/piece/event';
import { computed, onMounted, ref } from 'vue';
import { useRoute } from 'vue-router';
import { sayProblem } from '#notice/notices.ts';
import { useEquipment } from '#store/equipment.ts';
import { usePiece } from '#store/piece/piece.ts';
import { usePourWrites } from '#store/piece/pourWrites.ts';
import { usePlan } from '#store/plan/plan.ts';
import type { FreeEvent } from '#words/event.ts';
import { placeOfQuery } from './mark.ts';
import { blowerNow, newPass, withTool, type PassDraft } from './passDraft.ts';
import { useLaid } from './useLaid.ts';
import { useRunSheet } from './useRunSheet.ts';

/** What is logged next: a step of the run sheet, nothing more, a layer, a pass, a correction, or what else may happen. */
export type PourMode = 'sheet' | 'over' | 'lay' | 'blow' | 'change' | Exclude<FreeEvent, 'pass'>;

/** Where the pour stands and what the hands are at. */
export function usePourMode() {
  const store = usePiece();
  const writes = usePourWrites();
  const plan = usePlan();
  const equipment = useEquipment();
  const route = useRoute();
  const { open, hasSheet, repair } = useRunSheet();
  const { nothingToLay } = useLaid();

  /** A place that was pinned on a photo, to be repaired. */
  const repairAt = computed(() => placeOfQuery(route.query.repair));
  /** What was photographed or judged is poured. */
  const isPoured = computed(() => (store.piece?.photos.length ?? 0) > 0 || Boolean(store.piece?.judgement));
  const mode = ref<PourMode>(repairAt.value ? 'repair' : freely());
  const draft = ref<PassDraft>(newPass(store.passes.at(-1)?.data));
  /** A step that is being done otherwise; what is logged next carries it out. */
  const instead = ref<RunStep | null>(null);
  const picked = ref<PourEvent | null>(null);
  /** What was logged and is being set right, while its form is open. */
  const changing = computed(() => (mode.value === 'change' ? picked.value : null));
  const changedPass = ref<PassDraft>(newPass());

  /** Where the work goes on without a run sheet. */
  function freely(): PourMode {
    if (isPoured.value) return 'over';
    return store.passes.length > 0 || nothingToLay.value ? 'blow' : 'lay';
  }

  onMounted(async () => {
    if (repair.value) mode.value = 'sheet';
    try {
      await plan.open();
      // What was laid out a moment ago is kept only after a pause.
      await plan.flush();
      if (hasSheet.value && !isPoured.value && !repairAt.value) mode.value = 'sheet';
    } catch (error) {
      sayProblem(error);
    }
  });

  const free = computed(() =>
    mode.value === 'sheet' || mode.value === 'over' || mode.value === 'lay' || mode.value === 'change'
      ? null
      : mode.value === 'blow'
        ? 'pass'
        : mode.value,
  );
  /** The pass that is drawn while it is entered. */
  const drawnPass = computed(() => {
    if (mode.value === 'blow') return draft.value;
    return changing.value?.kind === 'pass' ? changedPass.value : null;
  });

  function pick(kind: FreeEvent): void {
    mode.value = kind === 'pass' ? 'blow' : kind;
  }

  /** Back to where the work goes on. */
  function goOn(): void {
    instead.value = null;
    if (hasSheet.value && (repair.value || !isPoured.value)) mode.value = 'sheet';
    else mode.value = isPoured.value ? 'over' : store.layers.length > 0 ? 'blow' : 'lay';
  }

  function change(event: PourEvent): void {
    picked.value = event;
    if (event.kind === 'pass') changedPass.value = { ...event.data };
    mode.value = 'change';
  }

  /** The rest of a repair is left out. */
  function breakOff(): void {
    try {
      for (const { id } of open.value) {
        writes.record('step', { stepId: id, outcome: 'skipped', note: 'Repair broken off' });
      }
      goOn();
    } catch (error) {
      sayProblem(error);
    }
  }

  function otherwise(step: RunStep): void {
    instead.value = step;
    if (step.kind === 'air-again') {
      const { directionDeg, mark } = step;
      draft.value = { ...newPass(store.passes.at(-1)?.data), directionDeg, from: mark.at };
      mode.value = 'blow';
      return;
    }
    if (step.kind !== 'pass') {
      mode.value = 'lay';
      return;
    }
    const { pass } = step;
    const own = equipment.blowers.find(({ id }) => id === pass.blowerId);
    draft.value = {
      ...withTool(pass.tool),
      ...pass,
      setting: pass.setting || withTool(pass.tool).setting,
      blower: own ? blowerNow(own) : null,
      from: null,
    };
    mode.value = 'blow';
  }

  function takeBackLast(): void {
    const last = store.events.filter((event) => event.kind !== 'plan').at(-1);
    if (last) takeBack(last.id);
  }

  function takeBack(eventId: string): void {
    try {
      writes.takeBackEvent(eventId);
      if (changing.value?.id === eventId) goOn();
    } catch (error) {
      sayProblem(error);
    }
  }

  return {
    ...{ mode, repairAt, draft, instead, changing, changedPass, free, drawnPass },
    ...{ pick, goOn, change, breakOff, otherwise, takeBack, takeBackLast },
  };
}
