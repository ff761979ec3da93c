<script setup lang="ts">
import { usualLayout, type LayoutName, type Place } from '@icy-ribbon/core/piece/plan';
import { useEventListener } from '@vueuse/core';
import { Button } from 'ant-design-vue';
import { defineAsyncComponent, onBeforeUnmount, onMounted, ref, watch } from 'vue';
import { useRouter } from 'vue-router';
import { attempt, useTask } from '#notice/useTask.ts';
import { useShortcuts } from '#shortcut/shortcuts.ts';
import { useNeeds } from '#store/needs.ts';
import { usePiece } from '#store/piece/piece.ts';
import { useOwnCells } from '#store/ownCells.ts';
import { usePourNumbers } from '#store/pourNumbers.ts';
import { usePlan } from '#store/plan/plan.ts';
import AmountStrip from './parts/AmountStrip.vue';
import CoreSample from './parts/CoreSample.vue';
import LayingTools from './parts/LayingTools.vue';
import PlanBar from './parts/PlanBar.vue';
import PlanFaces from './parts/PlanFaces.vue';
import PlanPanels from './parts/PlanPanels.vue';
import SupportCanvas from './parts/SupportCanvas.vue';
import { mixMissing } from './parts/mixMissing.ts';
import { savePlan } from './parts/planFiles.ts';
import type { Placing } from './parts/placing.ts';
import { planKeys, type PlanPanel } from './parts/planKeys.ts';
import { useUndoKeys } from './parts/useUndoKeys.ts';
import { usePlanEditing } from './parts/usePlanEditing.ts';

const PlannedCup = defineAsyncComponent(() => import('./parts/PlannedCup.vue'));
const ScalePlan = defineAsyncComponent(() => import('./parts/ScalePlan.vue'));

const props = defineProps<{ pieceId: string }>();

const plan = usePlan();
const store = usePiece();
const needs = useNeeds();
const router = useRouter();

const layout = ref<LayoutName>('center-bloom');
const flowers = ref<number | null>(3);
const placing = ref<Placing | null>(null);
const panel = ref<PlanPanel>('check');
const ownCells = useOwnCells();
const numbers = usePourNumbers();
const ZOOM_STEP = 1.4;
const asking = ref(false);
const scaling = ref(false);
const canvas = ref<InstanceType<typeof SupportCanvas> | null>(null);

const opened = ref(false);
onMounted(() =>
  attempt(async () => {
    await plan.open();
    opened.value = true;
  }),
);
onMounted(() => attempt(() => Promise.all([ownCells.load(), numbers.load()])));
onBeforeUnmount(() => void plan.flush());
/** A closed tab keeps what it can. */
useEventListener(window, 'pagehide', () => void plan.flush());

watch(
  () => store.piece?.technique,
  (technique) => {
    layout.value = usualLayout(technique ?? 'dutch');
  },
  { immediate: true },
);

/** What is chosen is shown in numbers; when it is let go of, the check is back. */
watch(
  () => plan.selection,
  (ids, before) => {
    if (ids.length > 0 && panel.value === 'check') panel.value = 'item';
    if (ids.length === 0 && before.length > 0 && panel.value === 'item') panel.value = 'check';
  },
);

const { run } = useTask();
const {
  context,
  support,
  chosen,
  sampled,
  ordered,
  items,
  put,
  putInTheMiddle,
  act,
  nudge,
  stepThrough,
  addPlanned,
  ...editing
} = usePlanEditing();
/** What is not weighed in yet is as big as the layout wants it. */
function lay(): void {
  void attempt(() =>
    needs.refitting(async () => {
      if (!editing.lay(layout.value, flowers.value)) asking.value = true;
      await plan.flush();
    }),
  );
}

/** A pass can be put down again and again. */
function place(at: Place): void {
  if (!placing.value) return;
  put(placing.value, at);
  if (placing.value !== 'pass') placing.value = null;
}

const save = (kind: 'svg' | 'png' | 'json' | 'sheet') =>
  attempt(async () => {
    if (kind !== 'sheet') return savePlan(kind, context.value, plan.body, store.piece?.name ?? 'plan');
    await plan.flush();
    await router.push({ name: 'run-sheet', params: { pieceId: props.pieceId } });
  });

/** Cups for what is missing come onto the bench with their grams, and the plan goes on pouring them. */
const mix = (cupId: string | null) =>
  run(async () => {
    await plan.flush();
    const made = await mixMissing(plan, store, cupId);
    if (made > 0) await router.push({ name: 'mix', params: { pieceId: props.pieceId } });
  });

function planned(id: string): void {
  asking.value = false;
  addPlanned(id);
}

/** It is blown before it is poured. */
const goRehearse = () =>
  attempt(async () => {
    await plan.flush();
    await router.push({ name: 'rehearse', params: { pieceId: props.pieceId } });
  });
const goPour = () => void router.push({ name: 'pour', params: { pieceId: props.pieceId } });

useUndoKeys(plan);
useShortcuts(
  'Plan',
  planKeys({
    lay,
    putInTheMiddle,
    stepThrough,
    nudge,
    act,
    undo: plan.undo,
    redo: plan.redo,
    zoomBy: (factor) => canvas.value?.zoomBy(factor),
    fitAll: () => canvas.value?.fitAll(),
    letGo: () => {
      placing.value = null;
      plan.select([]);
    },
    show: (name) => (panel.value = name),
    goPour,
  }),
);
</script>

<template>
  <main v-if="store.piece && opened" class="plan">
    <header>
      <h1>Plan</h1>
      <PlanBar
        v-model:layout="layout"
        v-model:flowers="flowers"
        @lay-out="lay"
        @act="act"
        @scale="scaling = true"
        @save="save"
      />
      <Button @click="goRehearse">Rehearse</Button>
      <Button type="primary" @click="goPour">Pour it</Button>
    </header>
    <PlanFaces>
      <section class="support" aria-label="The support from above">
        <LayingTools v-model="placing" />
        <SupportCanvas ref="canvas" :support="support" :placing="placing !== null" @place="place" />
        <div class="zoom" role="group" aria-label="Zoom">
          <button class="plain-button" aria-label="Closer" @click="canvas?.zoomBy(ZOOM_STEP)">+</button>
          <button class="plain-button" aria-label="Further" @click="canvas?.zoomBy(1 / ZOOM_STEP)">−</button>
        </div>
        <p v-if="placing" class="hint">Press on the support where it shall lie.</p>
      </section>
      <section class="stack">
        <CoreSample :stack="sampled" class="core" />
      </section>
    </PlanFaces>
    <PlanPanels
      v-model="panel"
      class="panel"
      :piece-id="pieceId"
      :chosen="chosen"
      :sampled="sampled"
      :ordered="ordered"
      :items="items"
      @another="asking = true"
      @mix="mix"
    />
    <AmountStrip class="amounts" @mix="mix" />
    <PlannedCup v-if="asking" @close="asking = false" @made="planned" />
    <ScalePlan v-if="scaling" @close="scaling = false" />
  </main>
</template>

<style scoped>
.plan {
  display: grid;
  grid-template-columns: minmax(0, 1fr) minmax(0, 1.06fr) minmax(0, 0.9fr);
  grid-template-rows: auto minmax(0, 1fr) auto;
  height: 100%;
}

header {
  grid-column: 1 / -1;
  display: flex;
  align-items: center;
  gap: 12px;
  padding: 8px 24px;
}

header > :nth-child(2) {
  flex: 1;
}

.support {
  position: relative;
  display: grid;
  grid-template-columns: 48px minmax(0, 1fr);
  min-height: 0;
  padding-left: 16px;
}

.zoom {
  position: absolute;
  right: 0;
  bottom: 0;
  display: flex;
}

.zoom button {
  width: 48px;
  height: 48px;
  text-align: center;
  font-size: var(--type-title);
  line-height: 1;
}

.hint {
  position: absolute;
  left: 72px;
  bottom: 8px;
  padding: 4px 8px;
  background: var(--bench);
  border-left: 4px solid var(--brass);
}

.stack {
  display: grid;
  min-height: 0;
  padding: 0 12px 6px;
}

.amounts {
  grid-column: 1 / -1;
}

@media (width < 1000px) {
  .plan {
    grid-template-columns: minmax(0, 1fr);
    grid-template-rows: none;
    height: auto;
  }

  header {
    flex-wrap: wrap;
  }

  h1 {
    flex: 1;
  }

  header > :nth-child(2) {
    order: 1;
    flex: 1 1 100%;
  }

  .support {
    height: 60vh;
  }

  .stack {
    padding: 0 16px 12px;
  }

  .core {
    height: 320px;
  }
}

/* The support, and a swipe away its core sample. */
@media (width < 600px) {
  header {
    gap: 6px 8px;
    padding: 6px 16px;
  }

  h1 {
    font-size: var(--type-lead);
  }

  .support {
    height: 56vh;
    padding-left: 8px;
  }

  .stack {
    align-content: start;
    padding: 0 16px;
  }

  .core {
    height: 56vh;
  }
}
</style>
