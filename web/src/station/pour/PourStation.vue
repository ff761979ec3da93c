<script setup lang="ts">
import { RadioButton, RadioGroup } from 'ant-design-vue';
import type { PourEvent } from '@icy-ribbon/contract';
import { shapeOfStep, type LaidShape, type Mark, type RunStep } from '@icy-ribbon/core/piece/event';
import type { Place } from '@icy-ribbon/core/piece/plan';
import { computed, onMounted, ref, watch } from 'vue';
import { useRoute } from 'vue-router';
import SupportDrawing from '../../drawing/SupportDrawing.vue';
import { sayProblem } from '../../notice/notices.ts';
import { useShortcuts } from '../../shortcut/shortcuts.ts';
import { useEquipment } from '../../store/equipment.ts';
import { usePiece } from '../../store/piece/piece.ts';
import { usePlan } from '../../store/plan/plan.ts';
import BlowStep from './parts/BlowStep.vue';
import ChangeEvent from './parts/ChangeEvent.vue';
import LayStep from './parts/LayStep.vue';
import type { DrawnFor } from './parts/eventDraft.ts';
import PieceSwitch from './parts/PieceSwitch.vue';
import PourTimeline from './parts/PourTimeline.vue';
import PrepareList from './parts/PrepareList.vue';
import RepairStart from './parts/RepairStart.vue';
import RoomNote from './parts/RoomNote.vue';
import SoFar from './parts/SoFar.vue';
import { placeOfQuery } from './parts/mark.ts';
import EventForm from './parts/EventForm.vue';
import EventStrip from './parts/EventStrip.vue';
import StepPanel from './parts/StepPanel.vue';
import WaitForm from './parts/WaitForm.vue';
import type { FreeEvent } from '../../words/event.ts';
import type { Stroke } from './parts/laidShape.ts';
import { useLaid } from './parts/useLaid.ts';
import { useRunSheet } from './parts/useRunSheet.ts';
import { blowerNow, newPass, withTool, type PassDraft } from './parts/passDraft.ts';

defineProps<{ pieceId: string }>();

const store = usePiece();
const plan = usePlan();
const route = useRoute();
const { steps, open, next, hasSheet, repair } = useRunSheet();
const { laid, nothingToLay } = useLaid();
/** What the hand drew for what is logged next, and what is made of it. */
const stroke = ref<Stroke | null>(null);
const drawnFor = ref<DrawnFor>({ mark: null, shape: null });
const repairMark = ref<Mark | null>(null);
/** A place that was pinned on a photo, to be repaired. */
const repairAt = computed(() => placeOfQuery(route.query.repair));
type Mode = 'sheet' | 'lay' | 'blow' | 'change' | Exclude<FreeEvent, 'pass'>;
const mode = ref<Mode>(
  repairAt.value ? 'repair' : store.passes.length > 0 || nothingToLay.value ? 'blow' : 'lay',
);
watch(mode, () => {
  stroke.value = null;
  drawnFor.value = { mark: null, shape: null };
  repairMark.value = null;
});
const equipment = useEquipment();
const draft = ref<PassDraft>(newPass(store.passes.at(-1)?.data));
/** A step that is being done otherwise; what is logged next carries it out. */
const instead = ref<RunStep | null>(null);
const picked = ref<PourEvent | null>(null);
/** What was logged and is being set right, while its form is open. */
const changing = computed(() => (mode.value === 'change' ? picked.value : null));
const changedPass = ref<PassDraft>(newPass());

onMounted(async () => {
  if (repair.value) mode.value = 'sheet';
  if (!store.piece?.plan) return;
  try {
    await plan.open();
    if (next.value && !repairAt.value) mode.value = 'sheet';
  } catch (error) {
    sayProblem(error);
  }
});

const free = computed(() =>
  mode.value === 'sheet' || mode.value === 'lay' || mode.value === 'change'
    ? null
    : mode.value === 'blow'
      ? 'pass'
      : mode.value,
);
/** The pass that is drawn while it is entered. */
const drawn = computed(() => {
  if (mode.value === 'blow') return draft.value;
  return changing.value?.kind === 'pass' ? changedPass.value : null;
});

function pick(kind: FreeEvent): void {
  mode.value = kind === 'pass' ? 'blow' : kind;
}

/** Back to where the work goes on. */
function goOn(): void {
  instead.value = null;
  mode.value = next.value && hasSheet.value ? 'sheet' : store.layers.length > 0 ? 'blow' : 'lay';
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
      store.record('step', { stepId: id, outcome: 'skipped', note: 'Repair broken off' });
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
    store.takeBackEvent(eventId);
    if (changing.value?.id === eventId) goOn();
  } catch (error) {
    sayProblem(error);
  }
}

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
const layShape = ref<LaidShape | null>(null);

function stroked(start: Place, end: Place): void {
  if (!drawn.value) stroke.value = { start, end };
}

function swiped(from: { x: number; y: number }, directionDeg: number): void {
  if (!drawn.value) return;
  const target = mode.value === 'change' ? changedPass : draft;
  target.value = { ...target.value, from, directionDeg };
}

useShortcuts('Pour', [
  { keys: ['l'], shown: 'L', does: 'Lay down a cup', run: () => (mode.value = 'lay') },
  { keys: ['g'], shown: 'G', does: 'Go on with the run sheet', run: goOn },
  { keys: ['b'], shown: 'B', does: 'Blow', run: () => (mode.value = 'blow') },
  {
    keys: ['Backspace'],
    shown: 'Backspace',
    does: 'Take the last event back',
    run: takeBackLast,
  },
]);
</script>

<template>
  <main v-if="store.piece" class="pour">
    <h1 class="visually-hidden">Pour</h1>
    <div class="support">
      <SupportDrawing
        :support="store.piece.support"
        :laid="laid"
        :next="nextShape"
        :marks="marks"
        :mark="nextMark"
        :passes="store.passes.filter((pass) => pass.id !== changing?.id).map((pass) => pass.data)"
        :draft="
          drawn && drawn.directionDeg !== null
            ? { directionDeg: drawn.directionDeg, seconds: drawn.seconds ?? 3, from: drawn.from }
            : null
        "
        :drawable="mode !== 'wait'"
        @swipe="swiped"
        @stroke="stroked"
      />
    </div>
    <section class="next">
      <PieceSwitch :piece-id="pieceId" />
      <div class="bar">
        <RadioGroup v-model:value="mode" name="pour-mode" aria-label="What comes next">
          <RadioButton v-if="hasSheet" value="sheet" :disabled="!next">Next step</RadioButton>
          <RadioButton value="lay">Lay down</RadioButton>
          <RadioButton value="blow">Blow</RadioButton>
        </RadioGroup>
        <RoomNote />
      </div>
      <p v-if="mode === 'sheet' && repair" class="soft repairing">
        The repair of a place.
        <button type="button" class="plain-button link" @click="breakOff">Break it off</button>
      </p>
      <StepPanel
        v-if="mode === 'sheet' && next"
        v-model:stroke="stroke"
        v-model:drawn="drawnFor"
        :step="next"
        :after="open[1]"
        :number="steps.indexOf(next) + 1"
        :total="steps.length"
        @change="otherwise"
      />
      <p v-else-if="mode === 'sheet'" class="over">
        The run sheet is done.
        <RouterLink :to="{ name: 'result', params: { pieceId } }">Photograph and judge it.</RouterLink>
      </p>
      <LayStep
        v-else-if="mode === 'lay'"
        v-model:stroke="stroke"
        v-model:shape="layShape"
        :step-id="instead?.id"
        :planned="planned"
        @laid="instead && goOn()"
        @blow="mode = 'blow'"
      />
      <BlowStep
        v-else-if="mode === 'blow'"
        v-model="draft"
        :step-id="instead?.id"
        @logged="instead && goOn()"
      />
      <ChangeEvent
        v-else-if="changing"
        :key="changing.id"
        v-model:pass="changedPass"
        :event="changing"
        @done="goOn"
        @take-back="takeBack"
      />
      <WaitForm v-else-if="mode === 'wait'" @done="goOn" />
      <RepairStart
        v-else-if="mode === 'repair'"
        v-model:stroke="stroke"
        v-model:mark="repairMark"
        :at="repairAt"
        @begun="mode = 'sheet'"
        @none="goOn"
      />
      <EventForm
        v-else-if="mode !== 'change'"
        :key="mode"
        v-model:stroke="stroke"
        v-model:drawn="drawnFor"
        :kind="mode"
        @done="goOn"
      />
      <PrepareList v-if="store.layers.length === 0 && (mode === 'sheet' || mode === 'lay')" />
      <SoFar v-if="store.passes.length > 0 && !repair" />
      <EventStrip class="strip" :active="free" @pick="pick" />
    </section>
    <PourTimeline class="timeline" :changing-id="changing?.id" @take-back="takeBackLast" @change="change" />
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
  display: flex;
  flex-direction: column;
  padding: 12px 24px 6px;
  overflow: auto;
}

.bar {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  justify-content: space-between;
  gap: 8px;
}

.strip {
  margin-top: auto;
  padding-top: 10px;
}

.repairing {
  margin-top: 10px;
}

.link {
  padding: 4px 0;
  color: var(--water);
  text-decoration: underline;
}

.over {
  margin-top: 20px;
  font-size: 22px;
}

.timeline {
  grid-column: 1 / -1;
}
</style>
