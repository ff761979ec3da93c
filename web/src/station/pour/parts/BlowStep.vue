<script setup lang="ts">
import type { PassEvent } from '@icy-ribbon/contract';
import {
  AIR_TOOLS,
  AIR_WAYS,
  airTool,
  bearingName,
  type AirTool,
  type AirWay,
} from '@icy-ribbon/core/flow/air';
import { CAUTIONS } from '@icy-ribbon/core/paint/caution';
import { airCaution } from '../../../words/air.ts';
import { AutoComplete, Button } from 'ant-design-vue';
import { computed, onMounted, ref } from 'vue';
import { messageAt } from '../../../api/problem.ts';
import BareSelect from '../../../field/BareSelect.vue';
import NumberField from '../../../field/NumberField.vue';
import QuantityField from '../../../field/QuantityField.vue';
import { sayProblem } from '../../../notice/notices.ts';
import { attempt } from '../../../notice/useTask.ts';
import { useEquipment } from '../../../store/equipment.ts';
import { useShortcuts } from '../../../shortcut/shortcuts.ts';
import { usePiece } from '../../../store/piece/piece.ts';
import DirectionDial from './DirectionDial.vue';
import HoldButton from './HoldButton.vue';
import { blowerNow, withTool, type PassDraft } from './passDraft.ts';

/** A pass that is logged, as a step of the run sheet or freely; or one that is being corrected. */
const props = defineProps<{ stepId?: string | undefined; changing?: PassEvent | undefined }>();
const emit = defineEmits<{ logged: [] }>();
const draft = defineModel<PassDraft>({ required: true });

const FIELDS = ['setting', 'distanceMm', 'slantDeg', 'directionDeg', 'seconds'];
const store = usePiece();
const equipment = useEquipment();
onMounted(() => attempt(equipment.ensure));
const problem = ref<unknown>(null);

const change = (changes: Partial<PassDraft>) => {
  draft.value = { ...draft.value, ...changes };
};

const toolOptions = AIR_TOOLS.map(({ tool, label }) => ({ value: tool, label }));
/** The shelf's blowers of this kind. */
const blowerOptions = computed(() => [
  { value: '', label: 'usual one' },
  ...equipment.blowers
    .filter(({ tool }) => tool === draft.value.tool)
    .map(({ id, name: label }) => ({ value: id, label })),
]);
function setBlower(id: unknown): void {
  const chosen = equipment.blowers.find((each) => each.id === id);
  change({ blower: chosen ? blowerNow(chosen) : null });
}
const settingOptions = computed(() => airTool(draft.value.tool).settings.map((value) => ({ value })));

const WAY_OPTIONS = AIR_WAYS.map((value) => ({ value, label: value }));
/** A breath that draws back ends harder. */
function setEnd(distanceMm: number | null): void {
  const isSame = distanceMm === null || distanceMm === draft.value.distanceMm;
  const hardest = airTool(draft.value.tool).settings.at(-1)!;
  change({ end: isSame ? null : { distanceMm, setting: draft.value.end?.setting ?? hardest } });
}

function log(): void {
  problem.value = null;
  try {
    if (props.changing) {
      store.correct(props.changing, { ...props.changing.data, ...draft.value });
    } else {
      const step = props.stepId === undefined ? {} : { stepId: props.stepId };
      store.logPass({ ...draft.value, ...step } as never);
    }
    emit('logged');
    change({ from: null });
  } catch (error) {
    problem.value = error;
    if (!FIELDS.some((field) => messageAt(error, `data.${field}`))) sayProblem(error);
  }
}

useShortcuts('Blow', [
  { keys: [' ', 'Enter', 'PageDown'], shown: 'Space, Enter', does: 'Log the pass', run: log },
]);
</script>

<template>
  <form class="blow" @submit.prevent="log">
    <template v-if="!changing">
      <p class="soft">Pass {{ store.passes.length + 1 }}</p>
      <p class="step-title">Blow {{ draft.directionDeg === null ? '' : bearingName(draft.directionDeg) }}</p>
    </template>
    <div class="main">
      <div class="hand">
        <DirectionDial
          class="dial"
          :model-value="draft.directionDeg ?? 0"
          @update:model-value="change({ directionDeg: $event })"
        />
        <HoldButton class="hold" running="Blowing …" @measured="change({ seconds: $event })" />
      </div>
      <div class="sentence">
        <span>With</span>
        <BareSelect
          label="Tool"
          class="list"
          :value="draft.tool"
          :options="toolOptions"
          @update:value="change(withTool($event as AirTool, equipment.blowers))"
        />
        <BareSelect
          v-if="blowerOptions.length > 1"
          label="Which blower"
          class="list"
          :value="draft.blower?.id ?? ''"
          :options="blowerOptions"
          @update:value="setBlower"
        />
        <span>on</span>
        <AutoComplete
          class="word"
          aria-label="Setting"
          :value="draft.setting"
          :options="settingOptions"
          @update:value="change({ setting: String($event ?? '') })"
        />
        <span>from</span>
        <QuantityField
          class="number"
          bare
          :model-value="draft.distanceMm"
          label="Distance"
          quantity="length"
          :error="messageAt(problem, 'data.distanceMm')"
          @update:model-value="change({ distanceMm: $event })"
        />
        <span>to</span>
        <QuantityField
          class="number"
          bare
          :model-value="draft.end?.distanceMm ?? draft.distanceMm"
          label="Ends at"
          quantity="length"
          :error="messageAt(problem, 'data.end.distanceMm')"
          @update:model-value="setEnd($event)"
        />
        <span>away, slanted</span>
        <NumberField
          class="number"
          bare
          :model-value="draft.slantDeg"
          label="Slant, 90 is straight down"
          unit="°"
          :digits="0"
          :error="messageAt(problem, 'data.slantDeg')"
          @update:model-value="change({ slantDeg: $event })"
        />
        <span>toward</span>
        <NumberField
          class="number"
          bare
          :model-value="draft.directionDeg"
          label="Direction, 0 is to the top"
          unit="°"
          :digits="0"
          :error="messageAt(problem, 'data.directionDeg')"
          @update:model-value="change({ directionDeg: $event })"
        />
        <BareSelect
          label="How the air goes"
          class="list"
          :value="draft.way ?? 'straight'"
          :options="WAY_OPTIONS"
          @update:value="change({ way: $event as AirWay })"
        />
        <span>for</span>
        <NumberField
          class="number"
          bare
          :model-value="draft.seconds"
          label="Seconds"
          unit="s"
          :digits="1"
          :error="messageAt(problem, 'data.seconds')"
          @update:model-value="change({ seconds: $event })"
        />
        <p v-if="messageAt(problem, 'data.setting')" class="alarm" role="alert">
          {{ messageAt(problem, 'data.setting') }}
        </p>
      </div>
    </div>
    <div class="row">
      <Button type="primary" size="large" html-type="submit">
        {{ changing ? 'Keep the change' : 'Log the pass' }}
      </Button>
      <slot></slot>
      <p v-if="!changing" class="soft caution">{{ airCaution(draft.tool) }} {{ CAUTIONS.deferral }}</p>
    </div>
  </form>
</template>

<style scoped>
.blow {
  display: grid;
  gap: 8px;
  margin-top: 12px;
}

.main {
  display: grid;
  grid-template-columns: 180px minmax(0, 1fr);
  gap: 8px 24px;
  align-items: start;
}

.hand {
  display: grid;
  gap: 8px;
}

.dial {
  width: 180px;
}

/* Everything but direction and seconds is as the pass before: one sentence, each word of it can be changed. */
.sentence {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 6px 8px;
}

.list {
  width: 170px;
}

.word {
  width: 110px;
}

.number {
  width: 84px;
}

.hold {
  width: 180px;
  height: var(--touch-step);
  touch-action: none;
}

.row {
  display: flex;
  align-items: center;
  gap: 16px;
}

.row .ant-btn {
  flex: none;
  min-width: 180px;
  height: var(--touch-step);
}

.caution {
  font-size: var(--type-note);
  line-height: 1.3;
}

@media (width < 1000px) {
  .main {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
