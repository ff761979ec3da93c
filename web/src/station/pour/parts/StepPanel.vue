<script setup lang="ts">
import { airTool, bearingName } from '@icy-ribbon/core/flow/air';
import { CAUTIONS } from '@icy-ribbon/core/paint/caution';
import { holdsSilicone } from '@icy-ribbon/core/paint/material';
import { namesListed } from '../../../words/general.ts';
import { airCaution } from '../../../words/air.ts';
import { shapeOfStep, type RunStep } from '@icy-ribbon/core/piece/event';
import { Button } from 'ant-design-vue';
import { computed, ref, watch } from 'vue';
import { messageAt } from '../../../api/problem.ts';
import QuantityField from '../../../field/QuantityField.vue';
import { itemName } from '../../../drawing/plan.ts';
import { sayProblem } from '../../../notice/notices.ts';
import { useShortcuts } from '../../../shortcut/shortcuts.ts';
import { blowerNow } from './passDraft.ts';
import { usePiece } from '../../../store/piece/piece.ts';
import { usePlan } from '../../../store/plan/plan.ts';
import { useEquipment } from '../../../store/equipment.ts';
import { useUnits } from '../../../store/units.ts';
import EventForm from './EventForm.vue';
import WaitForm from './WaitForm.vue';

/** The next step of the plan, large: done, left out, or done otherwise. */
const props = defineProps<{ step: RunStep; after: RunStep | undefined; number: number; total: number }>();
const emit = defineEmits<{ change: [step: RunStep] }>();

const store = usePiece();
const plan = usePlan();
const equipment = useEquipment();
const units = useUnits();
const problem = ref<unknown>(null);
const mg = ref<number | null>(null);

watch(
  () => props.step,
  (step) => {
    problem.value = null;
    mg.value = step.kind === 'lay' ? Math.min(step.mg, leftOf(step.paintId) || step.mg) : null;
  },
  { immediate: true },
);

function leftOf(paintId: string): number {
  return store.cups.find((cup) => cup.mix.id === paintId)?.state.leftMg ?? 0;
}

const title = (step: RunStep): string => {
  switch (step.kind) {
    case 'level':
      return 'Level the support both ways';
    case 'lay':
      return `Lay ${units.show('mass', step.mg)} ${plan.paint(step.paintId)?.name ?? 'of a cup that is gone'}`;
    case 'run-off':
      return `Tilt ${step.tiltDeg}° for ${step.seconds} s`;
    case 'torch':
      return 'Torch the bubbles';
    case 'wait':
      return `Wait ${step.seconds} s for ${step.forWhat}`;
    case 'pass':
      return `Pass ${step.number}: ${airTool(step.pass.tool).label.toLowerCase()} ${bearingName(step.pass.directionDeg)}`;
    case 'spin':
      return `Spin at ${step.rpm} turns a minute`;
    case 'photo':
      return 'Take a photo while it is wet';
  }
};

/** What the torch must know of the cups that were laid. */
const siliconeWords = computed(() => {
  const names = store.cups
    .filter(({ mix, state }) => holdsSilicone(mix.ingredients, state.shownIngredientMg))
    .map(({ mix }) => mix.name);
  return names.length > 0 ? `${namesListed(names)}: silicone was mixed in. ` : '';
});

const detail = computed(() => {
  const { step } = props;
  switch (step.kind) {
    case 'level':
      return 'A slope moves the design overnight.';
    case 'lay': {
      const where =
        step.itemId === null ? 'over the whole face' : `on ${itemName(plan.body, step.itemId).toLowerCase()}`;
      return `${where[0]!.toUpperCase()}${where.slice(1)}, layer ${step.number}. ${units.show('mass', leftOf(step.paintId))} in the cup.`;
    }
    case 'run-off':
      return 'Let the base run off until only its film stays.';
    case 'torch':
      return `${siliconeWords.value}${CAUTIONS.torch} ${CAUTIONS.deferral}`;
    case 'pass': {
      const { pass } = step;
      return `${pass.setting ? `${pass.setting}, ` : ''}${units.show('length', pass.distanceMm)} off, ${pass.slantDeg}° slant, ${pass.seconds} s. ${airCaution(pass.tool)}`;
    }
    case 'spin':
      return `For ${step.seconds} s, both ways. Fix the board and stand clear.`;
    default:
      return '';
  }
});

const cupIsHere = computed(
  () =>
    props.step.kind !== 'lay' ||
    store.cups.some((cup) => cup.mix.id === (props.step as { paintId: string }).paintId),
);

function done(): void {
  const { step } = props;
  problem.value = null;
  const stepId = step.id;
  try {
    switch (step.kind) {
      case 'lay':
        store.layDown(step.paintId, mg.value ?? 0, { stepId, shape: shapeOfStep(plan.body, step) });
        break;
      case 'pass': {
        const { tool, setting, distanceMm, slantDeg, directionDeg, seconds, at } = step.pass;
        const { widthMm, heightMm } = store.piece!.support;
        const share = (value: number) => Math.min(1, Math.max(0, value));
        const from = { x: share(at.x / widthMm), y: share(at.y / heightMm) };
        const named = setting || airTool(tool).settings[0];
        const own = equipment.blowers.find(({ id }) => id === step.pass.blowerId);
        const blown = { tool, setting: named, distanceMm, slantDeg, directionDeg, seconds };
        store.logPass({ ...blown, blower: own ? blowerNow(own) : null, from, stepId });
        break;
      }
      case 'torch':
        store.record('torch', { seconds: null, stepId });
        break;
      case 'run-off':
        store.record('tilt', { directionDeg: 180, seconds: step.seconds, stepId });
        break;
      case 'spin':
        store.record('spin', { rpm: step.rpm, seconds: step.seconds, way: 'both', stepId });
        break;
      default:
        store.record('step', { stepId, outcome: 'done', note: title(step) });
    }
  } catch (error) {
    problem.value = error;
    if (!messageAt(error, 'data.mg')) sayProblem(error);
  }
}

function skip(): void {
  try {
    store.record('step', { stepId: props.step.id, outcome: 'skipped', note: title(props.step) });
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
  computed(() => props.step.kind !== 'wait'),
);
useShortcuts('Run sheet', [{ keys: ['Delete'], shown: 'Delete', does: 'Leave the step out', run: skip }]);
</script>

<template>
  <div class="step">
    <p class="soft">Step {{ number }} of {{ total }}</p>
    <template v-if="step.kind === 'wait' || step.kind === 'photo'">
      <WaitForm
        v-if="step.kind === 'wait'"
        :key="step.id"
        :seconds="step.seconds"
        :for-what="step.forWhat"
        :step-id="step.id"
      />
      <EventForm v-else :key="`photo ${step.id}`" kind="photo" :step-id="step.id" />
      <div class="row">
        <Button v-if="step.kind === 'photo'" @click="done">Done, without a photo here</Button>
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
      <div class="row">
        <QuantityField
          v-if="step.kind === 'lay'"
          v-model="mg"
          class="amount"
          label="How much went on"
          quantity="mass"
          :error="messageAt(problem, 'data.mg')"
          @keydown.enter.stop.prevent="done"
        />
        <Button type="primary" size="large" :disabled="!cupIsHere" @click="done">Done</Button>
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
  margin-top: 14px;
}

.row {
  display: flex;
  flex-wrap: wrap;
  align-items: flex-end;
  gap: 12px;
  margin-top: 8px;
}

.row .ant-btn-lg {
  min-width: 120px;
  min-height: 48px;
}

.amount {
  width: 160px;
}

.warn {
  font-weight: 600;
}

.next {
  margin-top: 12px;
}
</style>
