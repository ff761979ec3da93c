<script setup lang="ts">
import { holdsSilicone } from '@icy-ribbon/core/paint/material';
import { namesListed } from '#words/general.ts';
import { stepDetail, stepTitle } from '#words/step.ts';
import type { RunStep } from '@icy-ribbon/core/piece/event';
import { Button } from 'ant-design-vue';
import { computed, ref, watch } from 'vue';
import { messageAt } from '#api/problem.ts';
import QuantityField from '#field/QuantityField.vue';
import { itemName } from '#drawing/plan.ts';
import { buzz } from '#notice/awake.ts';
import { sayProblem } from '#notice/notices.ts';
import { useShortcuts } from '#shortcut/shortcuts.ts';
import { usePiece } from '#store/piece/piece.ts';
import { usePourWrites } from '#store/piece/pourWrites.ts';
import { usePlan } from '#store/plan/plan.ts';
import { useUnits } from '#store/units.ts';
import EventForm from './EventForm.vue';
import { formOfStep } from '#words/event.ts';
import type { DrawnFor } from './eventDraft.ts';
import type { Stroke } from './laidShape.ts';
import { useStepLog } from './useStepLog.ts';
import WaitForm from './WaitForm.vue';

/** The next step of the plan, large: done, left out, or done otherwise. */
const props = defineProps<{ step: RunStep; after: RunStep | undefined; number: number; total: number }>();
/** What the hand drew on the support, and what is made of it. */
const stroke = defineModel<Stroke | null>('stroke', { required: true });
const drawn = defineModel<DrawnFor>('drawn', { required: true });
const emit = defineEmits<{ change: [step: RunStep] }>();

const store = usePiece();
const writes = usePourWrites();
const plan = usePlan();
const units = useUnits();
const steps = useStepLog();
const problem = ref<unknown>(null);
const mg = ref<number | null>(null);

watch(
  () => props.step,
  (step) => {
    problem.value = null;
    mg.value =
      step.kind === 'lay' || step.kind === 'relay' ? Math.min(step.mg, leftOf(step.cupId) || step.mg) : null;
  },
  { immediate: true },
);

function leftOf(cupId: string): number {
  return store.cups.find((cup) => cup.mix.id === cupId)?.state.leftMg ?? 0;
}

/** What the torch must know of the cups that were laid. */
const siliconeWords = computed(() => {
  const names = store.cups
    .filter(({ mix, state }) => holdsSilicone(mix.ingredients, state.shownIngredientMg))
    .map(({ mix }) => mix.name);
  return names.length > 0 ? `${namesListed(names)}: silicone was mixed in. ` : '';
});

const context = computed(() => ({
  units,
  paintName: (cupId: string) =>
    plan.paint(cupId)?.name ??
    store.cups.find((cup) => cup.mix.id === cupId)?.mix.name ??
    'of a cup that is gone',
  itemName: (itemId: string) => itemName(plan.body, itemId),
  leftMg: leftOf,
  silicone: siliconeWords.value,
}));
const title = (step: RunStep) => stepTitle(step, context.value);
const detail = computed(() => stepDetail(props.step, context.value));

/** A step that its own form logs. */
const formKind = computed(() => formOfStep(props.step.kind));
const plannedMark = computed(() => ('mark' in props.step ? props.step.mark : null));
const lays = computed(() => props.step.kind === 'lay' || props.step.kind === 'relay');

const cupIsHere = computed(
  () => !lays.value || store.cups.some((cup) => cup.mix.id === (props.step as { cupId: string }).cupId),
);

function done(): void {
  const { step } = props;
  problem.value = null;
  if (step.kind === 'air-again') {
    emit('change', step);
    return;
  }
  try {
    steps.log(step, mg.value ?? 0, title(step));
    buzz();
  } catch (error) {
    problem.value = error;
    if (!messageAt(error, 'data.mg')) sayProblem(error);
  }
}

/** Seen to without its form. */
function markDone(): void {
  try {
    writes.record('step', { stepId: props.step.id, outcome: 'done', note: title(props.step) });
  } catch (error) {
    sayProblem(error);
  }
}

function skip(): void {
  try {
    writes.record('step', { stepId: props.step.id, outcome: 'skipped', note: title(props.step) });
  } catch (error) {
    sayProblem(error);
  }
}

/** A wait has the first keys for its clock; every step can be left out. */
useShortcuts(
  'Run sheet',
  [
    { keys: [' ', 'Enter', 'PageDown'], shown: 'Space, Enter', does: 'The step is done', run: done },
    { keys: ['m'], shown: 'M', does: 'Do it otherwise', run: () => emit('change', props.step) },
  ],
  computed(() => props.step.kind !== 'wait' && !formKind.value),
);
useShortcuts('Run sheet', [{ keys: ['Delete'], shown: 'Delete', does: 'Leave the step out', run: skip }]);
</script>

<template>
  <div class="step">
    <p class="soft">Step {{ number }} of {{ total }}</p>
    <template v-if="step.kind === 'wait' || formKind">
      <WaitForm
        v-if="step.kind === 'wait'"
        :key="step.id"
        :seconds="step.seconds"
        :for-what="step.forWhat"
        :step-id="step.id"
      />
      <EventForm
        v-else-if="formKind"
        :key="step.id"
        v-model:stroke="stroke"
        v-model:drawn="drawn"
        :kind="formKind"
        :step-id="step.id"
        :planned="plannedMark"
        :title="title(step)"
      />
      <div class="row flowing gap-12">
        <Button v-if="step.kind === 'photo'" @click="markDone">Done, without a photo here</Button>
        <Button @click="skip">Leave it out</Button>
      </div>
    </template>
    <template v-else>
      <p class="step-title">{{ title(step) }}</p>
      <p class="soft">{{ detail }}</p>
      <p v-if="!cupIsHere" class="warn">
        This cup is not mixed yet.
        <RouterLink :to="{ name: 'mix', params: { pieceId: store.piece?.id } }">Mix it first.</RouterLink>
      </p>
      <div class="row flowing gap-12">
        <QuantityField
          v-if="lays"
          v-model="mg"
          class="amount"
          label="How much went on"
          quantity="mass"
          :error="messageAt(problem, 'data.mg')"
          @keydown.enter.stop.prevent="done"
        />
        <Button type="primary" size="large" :disabled="!cupIsHere" @click="done">{{
          step.kind === 'air-again' ? 'Blow it' : 'Done'
        }}</Button>
        <Button size="large" @click="skip">Leave it out</Button>
        <Button v-if="step.kind === 'pass' || step.kind === 'lay'" size="large" @click="emit('change', step)">
          Otherwise
        </Button>
      </div>
    </template>
    <p v-if="after" class="next soft">Then: {{ title(after) }}</p>
  </div>
</template>

<style scoped>
.step {
  display: grid;
  gap: 6px;
  margin-top: 12px;
}

.row {
  align-items: flex-end;
  margin-top: 8px;
}

.row .ant-btn-lg {
  min-width: 120px;
  height: var(--touch-step);
}

.amount {
  width: 160px;
}

.warn {
  font-weight: var(--weight-strong);
}

.next {
  margin-top: 12px;
}
</style>
