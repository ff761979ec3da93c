<script setup lang="ts">
import { bearingName } from '@icy-ribbon/core/air';
import { CAUTIONS } from '@icy-ribbon/core/caution';
import { Button, Input, Select, Textarea } from 'ant-design-vue';
import { computed, ref, watch } from 'vue';
import { messageAt } from '../../api/problem.ts';
import FieldRow from '../../field/FieldRow.vue';
import NumberField from '../../field/NumberField.vue';
import QuantityField from '../../field/QuantityField.vue';
import { sayProblem } from '../../notice/notices.ts';
import { useShortcuts } from '../../shortcut/shortcuts.ts';
import { usePiece } from '../../store/piece.ts';
import DirectionDial from './DirectionDial.vue';
import HoldButton from './HoldButton.vue';
import { clockWords, useWaitTimer } from './waitTimer.ts';
import { useTurnTapper } from './turnTapper.ts';
import { FREE_EVENTS, type FreeEvent } from './eventWords.ts';

/** What is logged beside laying down and blowing. */
const props = defineProps<{
  kind: Exclude<FreeEvent, 'pass'>;
  seconds?: number | undefined;
  stepId?: string | undefined;
}>();
const emit = defineEmits<{ done: [] }>();

const store = usePiece();
const problem = ref<unknown>(null);
const busy = ref(false);
const seconds = ref<number | null>(props.seconds ?? null);
const rpm = ref<number | null>(40);
const way = ref<'clockwise' | 'counterclockwise' | 'both'>('both');
const directionDeg = ref(0);
const note = ref('');
const mixId = ref<string | null>(null);
const mg = ref<number | null>(5000);

const wait = useWaitTimer();
const tapper = useTurnTapper((turns) => (rpm.value = turns));

const label = computed(() => FREE_EVENTS.find((each) => each.kind === props.kind)?.label ?? '');
const isAdding = computed(() => props.kind === 'add-base' || props.kind === 'add-color');
const cups = computed(() =>
  store.paints.filter(({ mix, state }) => {
    const isGround = mix.role === 'base' || mix.role === 'pillow';
    return state.leftMg > 0 && isGround === (props.kind === 'add-base');
  }),
);
const cupOptions = computed(() => cups.value.map(({ mix }) => ({ value: mix.id, label: mix.name })));

watch(
  () => props.kind,
  () => {
    problem.value = null;
    note.value = '';
    seconds.value = props.seconds ?? (props.kind === 'wait' ? 120 : props.kind === 'torch' ? 3 : 10);
    mixId.value = cups.value[0]?.mix.id ?? null;
  },
  { immediate: true },
);

const WAYS = [
  { value: 'both', label: 'both ways' },
  { value: 'clockwise', label: 'clockwise' },
  { value: 'counterclockwise', label: 'counterclockwise' },
];

async function keep(): Promise<void> {
  if (busy.value) return;
  busy.value = true;
  problem.value = null;
  const step = props.stepId === undefined ? {} : { stepId: props.stepId };
  try {
    switch (props.kind) {
      case 'torch':
        store.record('torch', { seconds: seconds.value, ...step });
        break;
      case 'wait':
        store.record('wait', { seconds: seconds.value as number, forWhat: note.value, ...step });
        break;
      case 'spin':
        store.record('spin', {
          rpm: rpm.value as number,
          seconds: seconds.value as number,
          way: way.value,
          ...step,
        });
        break;
      case 'tilt':
        store.record('tilt', { directionDeg: directionDeg.value, seconds: seconds.value, ...step });
        break;
      case 'add-base':
      case 'add-color':
        store.layDown(mixId.value ?? '', mg.value ?? 0, { moment: 'add' });
        break;
      case 'scrape':
      case 'straw':
      case 'skewer':
        store.record(props.kind, { note: note.value });
        break;
      case 'note':
        store.record('note', { text: note.value });
        break;
      case 'photo': {
        const photo = await store.takePhoto('wet');
        store.record('photo', { photoId: photo.id, note: note.value });
        if (props.stepId !== undefined) {
          store.record('step', { stepId: props.stepId, outcome: 'done', note: '' });
        }
        break;
      }
    }
    emit('done');
  } catch (error) {
    problem.value = error;
    const known = ['data.seconds', 'data.rpm', 'data.mg', 'data.text'].some((path) => messageAt(error, path));
    if (!known) sayProblem(error);
  } finally {
    busy.value = false;
  }
}

function startOrStopWait(): void {
  if (!wait.running.value) {
    wait.start(seconds.value ?? 60);
    return;
  }
  seconds.value = wait.stop();
  void keep();
}

useShortcuts('Event', [
  {
    keys: [' ', 'Enter', 'PageDown'],
    shown: 'Space, Enter',
    does: 'Log it (start or end a wait)',
    run: () => (props.kind === 'wait' ? startOrStopWait() : void keep()),
  },
  { keys: ['r'], shown: 'R', does: 'Tap once a turn, for the speed', run: () => tapper.tap() },
  { keys: ['Escape'], shown: 'Escape', does: 'Log nothing', run: () => emit('done') },
]);
</script>

<template>
  <form class="event" @submit.prevent="keep">
    <p class="now">{{ label }}</p>
    <template v-if="kind === 'wait'">
      <p class="clock" role="timer" aria-live="off">
        {{ wait.running.value ? clockWords(wait.left.value) : clockWords(seconds ?? 0) }}
      </p>
      <p v-if="wait.running.value && wait.left.value <= 0" class="over" role="status">
        Time. {{ Math.round(wait.elapsed.value) }} s have gone by.
      </p>
      <div class="row">
        <NumberField
          v-model="seconds"
          label="Seconds"
          unit="s"
          :digits="0"
          :error="messageAt(problem, 'data.seconds')"
        />
        <FieldRow label="For what" for="wait-for">
          <Input id="wait-for" v-model:value="note" placeholder="the cells to open" />
        </FieldRow>
        <Button type="primary" size="large" @click="startOrStopWait">
          {{ wait.running.value ? 'It is over' : 'Start the wait' }}
        </Button>
        <Button v-if="!wait.running.value" size="large" html-type="submit">It was this long</Button>
      </div>
    </template>
    <template v-else>
      <div class="row">
        <DirectionDial v-if="kind === 'tilt'" v-model="directionDeg" class="dial" />
        <p v-if="kind === 'tilt'" class="soft">{{ bearingName(directionDeg) }}</p>
        <NumberField
          v-if="kind === 'spin'"
          v-model="rpm"
          label="Turns a minute"
          unit="rpm"
          :digits="0"
          :error="messageAt(problem, 'data.rpm')"
        />
        <Button v-if="kind === 'spin'" @click="tapper.tap">Tap each turn (R)</Button>
        <FieldRow v-if="kind === 'spin'" label="Way" for="spin-way">
          <Select id="spin-way" v-model:value="way" :options="WAYS" />
        </FieldRow>
        <NumberField
          v-if="kind === 'torch' || kind === 'spin' || kind === 'tilt'"
          v-model="seconds"
          label="Seconds"
          unit="s"
          :digits="1"
          :error="messageAt(problem, 'data.seconds')"
        />
        <HoldButton
          v-if="kind === 'torch' || kind === 'spin' || kind === 'tilt'"
          running="Counting …"
          @measured="seconds = $event"
        />
        <template v-if="isAdding">
          <FieldRow label="Cup" for="added-cup">
            <Select
              id="added-cup"
              :value="mixId ?? undefined"
              :options="cupOptions"
              style="min-width: 180px"
              @update:value="mixId = ($event as string | undefined) ?? null"
            />
          </FieldRow>
          <QuantityField
            v-model="mg"
            label="How much"
            quantity="mass"
            :error="messageAt(problem, 'data.mg')"
          />
        </template>
      </div>
      <p v-if="isAdding && cups.length === 0" class="soft">No such cup holds paint.</p>
      <FieldRow
        v-if="
          kind === 'note' || kind === 'scrape' || kind === 'straw' || kind === 'skewer' || kind === 'photo'
        "
        label="In your words"
        for="event-note"
        :error="messageAt(problem, 'data.text')"
      >
        <Textarea id="event-note" v-model:value="note" :rows="2" />
      </FieldRow>
      <p v-if="kind === 'photo'" class="soft">
        The camera over the table takes it. Photos of your own are attached at Results.
      </p>
      <div class="row">
        <Button type="primary" size="large" html-type="submit" :loading="busy">Log it</Button>
        <Button size="large" @click="emit('done')">Log nothing</Button>
        <p v-if="kind === 'torch'" class="soft caution">{{ CAUTIONS.torch }} {{ CAUTIONS.deferral }}</p>
        <p v-if="kind === 'spin'" class="soft caution">Fix the board on the spinner and stand clear.</p>
        <p v-if="kind === 'straw'" class="soft caution">{{ CAUTIONS.blowing }}</p>
      </div>
    </template>
  </form>
</template>

<style scoped>
.event {
  display: grid;
  gap: 12px;
  margin-top: 14px;
}

.now {
  font-size: 30px;
  font-weight: 600;
  line-height: 1.2;
}

.clock {
  font-size: 96px;
  font-weight: 600;
  line-height: 1;
  font-variant-numeric: tabular-nums;
}

.over {
  color: var(--brass-text, var(--brass));
  font-weight: 600;
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
  font-size: 13px;
  line-height: 1.3;
}
</style>
