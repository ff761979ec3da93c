<script setup lang="ts">
import { Button, Input } from 'ant-design-vue';
import { computed, ref } from 'vue';
import { messageAt } from '#api/problem.ts';
import FieldRow from '#field/FieldRow.vue';
import NumberField from '#field/NumberField.vue';
import { sayProblem } from '#notice/notices.ts';
import { useShortcuts } from '#shortcut/shortcuts.ts';
import { usePiece } from '#store/piece/piece.ts';
import { usePourWrites } from '#store/piece/pourWrites.ts';
import { clockWords, leftOf, useWaits } from '#store/waits.ts';
import { newDraft } from './eventDraft.ts';

/** A wait: its clock goes on while other things are logged, and it is logged when it is over. */
const props = defineProps<{
  seconds?: number | undefined;
  forWhat?: string | undefined;
  stepId?: string | undefined;
}>();
const emit = defineEmits<{ done: [] }>();

const store = usePiece();
const writes = usePourWrites();
const waits = useWaits();
const problem = ref<unknown>(null);
const usual = newDraft('wait');
const seconds = ref<number | null>(props.seconds ?? usual.seconds);
const forWhat = ref(props.forWhat ?? '');

const running = computed(() => (store.piece ? waits.of(store.piece.id) : undefined));
const left = computed(() => (running.value ? leftOf(running.value, waits.now) : (seconds.value ?? 0)));

/** @returns whether it was logged */
function log(took: number | null, why: string, stepId: string | undefined): boolean {
  problem.value = null;
  try {
    const data = { seconds: took as number, forWhat: why, ...(stepId !== undefined && { stepId }) };
    writes.record('wait', data);
    emit('done');
    return true;
  } catch (error) {
    problem.value = error;
    if (running.value || !messageAt(error, 'data.seconds')) sayProblem(error);
    return false;
  }
}

function startOrEnd(): void {
  if (!store.piece) return;
  const wait = running.value;
  if (wait) {
    const { id } = store.piece;
    if (log(waits.tookSeconds(id), wait.forWhat, wait.stepId ?? undefined)) waits.end(id);
    return;
  }
  waits.start(store.piece.id, {
    pieceName: store.piece.name,
    seconds: seconds.value ?? 60,
    forWhat: forWhat.value,
    stepId: props.stepId ?? null,
  });
}

useShortcuts('Wait', [
  { keys: [' ', 'Enter', 'PageDown'], shown: 'Space, Enter', does: 'Start or end the wait', run: startOrEnd },
  { keys: ['Escape'], shown: 'Escape', does: 'Back to the pour; a clock goes on', run: () => emit('done') },
]);
</script>

<template>
  <form class="wait stacked gap-12" @submit.prevent="log(seconds, forWhat, stepId)">
    <p class="step-title">
      Wait{{ (running?.forWhat ?? forWhat) ? ` for ${running?.forWhat ?? forWhat}` : '' }}
    </p>
    <p class="clock" :class="{ over: left < 0 }" role="timer" aria-live="off">{{ clockWords(left) }}</p>
    <div v-if="running" class="row">
      <Button type="primary" size="large" @click="startOrEnd">It is over</Button>
      <Button size="large" @click="waits.end(store.piece!.id)">Stop the clock, log nothing</Button>
      <p class="soft">The clock goes on while you log other things or see to another piece.</p>
    </div>
    <div v-else class="row">
      <NumberField
        v-model="seconds"
        label="Seconds"
        unit="s"
        :digits="0"
        :error="messageAt(problem, 'data.seconds')"
      />
      <FieldRow label="For what" for="wait-for">
        <Input id="wait-for" v-model:value="forWhat" placeholder="the cells to open" />
      </FieldRow>
      <Button type="primary" size="large" @click="startOrEnd">Start the wait</Button>
      <Button size="large" html-type="submit">It was this long</Button>
    </div>
  </form>
</template>

<style scoped>
.wait {
  margin-top: 12px;
}

.clock {
  font-size: var(--type-numeral);
  font-weight: var(--weight-strong);
  line-height: 1;
  font-variant-numeric: tabular-nums;
}

.over {
  color: var(--brass-ink);
}

.row {
  display: flex;
  flex-wrap: wrap;
  align-items: flex-end;
  gap: 12px 16px;
}
</style>
