<script setup lang="ts">
import type { PourEvent } from '@icy-ribbon/contract';
import type { Mark } from '@icy-ribbon/core/piece/event';
import { bearingName } from '@icy-ribbon/core/flow/air';
import { Button, Select, Textarea } from 'ant-design-vue';
import { computed, onMounted, ref } from 'vue';
import { messageAt } from '#api/problem.ts';
import FieldRow from '#field/FieldRow.vue';
import NumberField from '#field/NumberField.vue';
import QuantityField from '#field/QuantityField.vue';
import { sayProblem } from '#notice/notices.ts';
import { useShortcuts } from '#shortcut/shortcuts.ts';
import { useDevices } from '#store/devices.ts';
import { usePiece } from '#store/piece/piece.ts';
import { usePourWrites } from '#store/piece/pourWrites.ts';
import DirectionDial from './DirectionDial.vue';
import HoldButton from './HoldButton.vue';
import { useTurnTapper } from './turnTapper.ts';
import { draftOf, eventOf, newDraft, type DrawnFor } from './eventDraft.ts';
import type { Stroke } from './laidShape.ts';
import { markOf } from './mark.ts';
import PlaceField from './PlaceField.vue';
import TestFields from './TestFields.vue';
import { usePlaceDrawn } from './usePlaceDrawn.ts';
import { formRow, type EventField, type FormKind } from '#words/event.ts';

/** What is logged beside laying down, blowing and waiting; or the correction of what was logged. */
const props = defineProps<{
  kind: FormKind;
  stepId?: string | undefined;
  changing?: PourEvent | undefined;
  /** What the plan says of the place. */
  planned?: Mark | null | undefined;
  /** What the step says, where it is one. */
  title?: string | undefined;
}>();
/** What the hand drew on the support, and what is made of it. */
const stroke = defineModel<Stroke | null>('stroke', { default: null });
const drawn = defineModel<DrawnFor>('drawn', { default: () => ({ mark: null, shape: null }) });
const emit = defineEmits<{ done: [] }>();

const USUAL_MG = 5000;
const FIELD_PATHS = [
  ...['data.tiltDeg', 'data.seconds', 'data.rpm', 'data.mg', 'data.text', 'data.cupId'],
  ...['data.moves', 'data.runsOver'],
];
const WAYS = [
  { value: 'both', label: 'both ways' },
  { value: 'clockwise', label: 'clockwise' },
  { value: 'counterclockwise', label: 'counterclockwise' },
];

const store = usePiece();
const writes = usePourWrites();
const devices = useDevices();
onMounted(devices.ensure);
const problem = ref<unknown>(null);
const busy = ref(false);

const cups = computed(() =>
  store.paints.filter(({ mix, state }) => {
    if (props.kind === 'layer') return true;
    const isGround = mix.role === 'base' || mix.role === 'pillow';
    return state.leftMg > 0 && isGround === (props.kind === 'add-base');
  }),
);
const cupOptions = computed(() => cups.value.map(({ mix }) => ({ value: mix.id, label: mix.name })));
const draft = ref(
  props.changing
    ? draftOf(props.changing)
    : newDraft(props.kind, { cupId: cups.value[0]?.mix.id ?? null, mg: usualMg(cups.value[0]?.mix.id) }),
);
const tapper = useTurnTapper((turns) => (draft.value.rpm = turns));
const row = computed(() => formRow(props.kind));
const asks = (field: EventField) => row.value.fields.includes(field);
usePlaceDrawn(props.kind, { changing: props.changing, planned: props.planned }, draft, stroke, drawn);

/** A little of a cup, or what is left in it. */
function usualMg(cupId: string | undefined): number {
  const left = store.paints.find((cup) => cup.mix.id === cupId)?.state.leftMg ?? USUAL_MG;
  return Math.min(USUAL_MG, left);
}

function takeCup(cupId: string | undefined): void {
  draft.value.cupId = cupId ?? null;
  if (!props.changing) draft.value.mg = usualMg(cupId);
}

async function keep(): Promise<void> {
  if (busy.value) return;
  busy.value = true;
  problem.value = null;
  const { kind, data } = eventOf(props.kind, draft.value, drawn.value);
  try {
    if (props.changing) writes.correct(props.changing, { ...props.changing.data, ...data });
    else if (kind === 'photo') await photograph();
    else
      writes.record(kind, { ...data, ...(props.stepId !== undefined && { stepId: props.stepId }) } as never);
    stroke.value = null;
    emit('done');
  } catch (error) {
    problem.value = error;
    if (!FIELD_PATHS.some((path) => messageAt(error, path))) sayProblem(error);
  } finally {
    busy.value = false;
  }
}

/** A stand-in camera takes a picture where one is connected; else the log says that a photo was taken by hand. */
async function photograph(): Promise<void> {
  const photo = devices.standIns ? await store.takePhoto('wet') : null;
  const note = photo ? `${draft.value.words} (by the stand-in camera)`.trim() : draft.value.words;
  writes.record('photo', { photoId: photo?.id ?? null, note });
  if (props.stepId !== undefined) {
    writes.record('step', { stepId: props.stepId, outcome: 'done', note: '' });
  }
}

useShortcuts('Event', [
  { keys: [' ', 'Enter', 'PageDown'], shown: 'Space, Enter', does: 'Log it', run: () => void keep() },
  { keys: ['r'], shown: 'R', does: 'Tap once a turn, for the speed', run: () => tapper.tap() },
  { keys: ['Escape'], shown: 'Escape', does: 'Log nothing', run: () => emit('done') },
]);
</script>

<template>
  <form class="event stacked gap-12" @submit.prevent="keep">
    <p v-if="!changing" class="step-title">{{ title ?? row.label }}</p>
    <div v-if="kind !== 'note'" class="row">
      <template v-if="asks('direction')">
        <DirectionDial v-model="draft.directionDeg" class="dial" />
        <p class="soft">{{ bearingName(draft.directionDeg) }}</p>
      </template>
      <template v-if="asks('rpm')">
        <NumberField
          v-model="draft.rpm"
          label="Turns a minute"
          unit="rpm"
          :digits="0"
          :error="messageAt(problem, 'data.rpm')"
        />
        <Button @click="tapper.tap">Tap each turn (R)</Button>
      </template>
      <FieldRow v-if="asks('way')" label="Way" for="spin-way">
        <Select id="spin-way" v-model:value="draft.way" :options="WAYS" />
      </FieldRow>
      <template v-if="asks('seconds')">
        <NumberField
          v-model="draft.seconds"
          label="Seconds"
          unit="s"
          :digits="kind === 'wait' ? 0 : 1"
          :error="messageAt(problem, 'data.seconds')"
        />
        <HoldButton v-if="kind !== 'wait'" running="Counting …" @measured="draft.seconds = $event" />
      </template>
      <template v-if="asks('cup')">
        <FieldRow label="Cup" for="event-cup" :error="messageAt(problem, 'data.cupId')">
          <Select
            id="event-cup"
            :value="draft.cupId ?? undefined"
            :options="cupOptions"
            style="min-width: 180px"
            @update:value="takeCup($event as string | undefined)"
          />
        </FieldRow>
        <QuantityField
          v-model="draft.mg"
          label="How much"
          quantity="mass"
          :error="messageAt(problem, 'data.mg')"
        />
      </template>
    </div>
    <TestFields
      v-if="kind === 'blow-test' || kind === 'tip-test'"
      v-model="draft"
      :kind="kind"
      :problem="problem"
    />
    <PlaceField
      v-if="asks('place')"
      v-model:radius-mm="draft.radiusMm"
      :mark="drawn.mark ?? (drawn.shape && stroke ? markOf(stroke, store.piece!.support, 1) : null)"
      :asks-width="asks('radius')"
      @clear="stroke = null"
    />
    <p v-if="asks('cup') && cups.length === 0" class="soft">No such cup holds paint.</p>
    <FieldRow
      v-if="asks('words')"
      :label="kind === 'wait' ? 'For what' : 'In your words'"
      for="event-note"
      :error="messageAt(problem, 'data.text')"
    >
      <Textarea id="event-note" v-model:value="draft.words" :rows="2" />
    </FieldRow>
    <p v-if="kind === 'photo' && !changing" class="soft">
      {{
        devices.standIns
          ? 'The camera over the table takes it: a stand-in, which paints one. Photos of your own are attached at Results.'
          : 'Take it with your own camera, and attach it at Results.'
      }}
    </p>
    <div class="row">
      <Button type="primary" size="large" html-type="submit" :loading="busy">
        {{ changing ? 'Keep the change' : 'Log it' }}
      </Button>
      <Button v-if="stepId === undefined" size="large" @click="emit('done')">{{
        changing ? 'Leave it as it was' : 'Log nothing'
      }}</Button>
      <p v-if="row.caution" class="soft caution">{{ row.caution }}</p>
      <slot></slot>
    </div>
  </form>
</template>

<style scoped>
.event {
  margin-top: 12px;
}

.row {
  display: flex;
  flex-wrap: wrap;
  align-items: flex-end;
  gap: 12px 16px;
}

.dial {
  width: 110px;
  flex: none;
}

.caution {
  max-width: 320px;
  font-size: var(--type-note);
  line-height: 1.3;
}
</style>
