<script setup lang="ts">
import { RadioButton, RadioGroup } from 'ant-design-vue';
import { computed, ref } from 'vue';
import SupportDrawing from '../../drawing/SupportDrawing.vue';
import { sayProblem } from '../../notice/notices.ts';
import { useShortcuts } from '../../shortcut/shortcuts.ts';
import { usePiece } from '../../store/piece.ts';
import BlowStep from './BlowStep.vue';
import LayStep from './LayStep.vue';
import PourTimeline from './PourTimeline.vue';
import RoomNote from './RoomNote.vue';
import { newPass, type PassDraft } from './passDraft.ts';

defineProps<{ pieceId: string }>();

const store = usePiece();
const mode = ref<'lay' | 'blow'>(store.passes.length > 0 || nothingToLay() ? 'blow' : 'lay');
const draft = ref<PassDraft>(newPass(store.passes.at(-1)?.data));

function nothingToLay(): boolean {
  return store.paints.length > 0 && store.paints.every((cup) => cup.state.leftMg === 0 || isLaid(cup.mix.id));
}

function isLaid(mixId: string): boolean {
  return store.layers.some((layer) => layer.data.mixId === mixId);
}

const laid = computed(() =>
  store.layers.map((layer) => {
    const cup = store.cups.find((each) => each.mix.id === layer.data.mixId);
    return { id: layer.id, mg: layer.data.mg, colorHex: cup?.colorHex ?? '#888888', role: cup?.mix.role };
  }),
);
const baseHex = computed(() => laid.value.find((each) => each.role === 'base')?.colorHex ?? null);
const puddles = computed(() => laid.value.filter((each) => each.role !== 'base'));

async function takeBackLast(): Promise<void> {
  const last = store.events.at(-1);
  if (!last) return;
  try {
    await store.takeBackEvent(last.id);
  } catch (error) {
    sayProblem(error);
  }
}

function swiped(from: { x: number; y: number }, directionDeg: number): void {
  draft.value = { ...draft.value, from, directionDeg };
}

useShortcuts('Pour', [
  { keys: ['l'], shown: 'L', does: 'Lay down a cup', run: () => (mode.value = 'lay') },
  { keys: ['b'], shown: 'B', does: 'Blow', run: () => (mode.value = 'blow') },
  {
    keys: ['Backspace'],
    shown: 'Backspace',
    does: 'Take the last event back',
    run: () => void takeBackLast(),
  },
]);
</script>

<template>
  <main v-if="store.piece" class="pour">
    <h1 class="visually-hidden">Pour</h1>
    <div class="support">
      <SupportDrawing
        :support="store.piece.support"
        :base-hex="baseHex"
        :puddles="puddles"
        :passes="store.passes.map((pass) => pass.data)"
        :draft="
          mode === 'blow' && draft.directionDeg !== null
            ? { directionDeg: draft.directionDeg, seconds: draft.seconds ?? 3, from: draft.from }
            : null
        "
        :drawable="mode === 'blow'"
        @swipe="swiped"
      />
    </div>
    <section class="next">
      <div class="bar">
        <RadioGroup v-model:value="mode" name="pour-mode" aria-label="What comes next">
          <RadioButton value="lay">Lay down</RadioButton>
          <RadioButton value="blow">Blow</RadioButton>
        </RadioGroup>
        <RoomNote />
      </div>
      <LayStep v-if="mode === 'lay'" @blow="mode = 'blow'" />
      <BlowStep v-else v-model="draft" />
    </section>
    <PourTimeline class="timeline" @take-back="takeBackLast" />
  </main>
</template>

<style scoped>
.pour {
  display: grid;
  height: 100%;
  grid-template-columns: minmax(240px, 40%) minmax(0, 1fr);
  grid-template-rows: minmax(0, 1fr) auto;
}

.support {
  padding: 12px 8px 12px 16px;
  min-height: 0;
}

.next {
  padding: 12px 24px;
  overflow: auto;
}

.bar {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  justify-content: space-between;
  gap: 8px;
}

.timeline {
  grid-column: 1 / -1;
}
</style>
