<script setup lang="ts">
import { pourRecordOf } from '@icy-ribbon/core/judgement/outcome';
import { soFar } from '@icy-ribbon/core/judgement/pouring';
import { InputError } from '@icy-ribbon/core/base/error';
import { dataOf, planOfPour } from '@icy-ribbon/core/piece/event';
import { middleFilm } from '@icy-ribbon/core/piece/amount';
import { coreSample } from '@icy-ribbon/core/piece/stack';
import { useIntervalFn } from '@vueuse/core';
import { computed, onMounted, ref } from 'vue';
import { attempt } from '#notice/useTask.ts';
import { useEquipment } from '#store/equipment.ts';
import { usePiece } from '#store/piece/piece.ts';
import { useSuccesses } from '#store/successes.ts';
import { markWords } from '#words/pouring.ts';
import { useMeasures } from '#words/useMeasures.ts';
import { useLaid } from './useLaid.ts';

/** Stop or go on? What is logged so far against what is usual, aimed at, and what the last successes had. */
const store = usePiece();
const equipment = useEquipment();
const successes = useSuccesses();
const measures = useMeasures();
const { paints } = useLaid();
onMounted(() => attempt(successes.load));

const nowMs = ref(Date.now());
useIntervalFn(() => (nowMs.value = Date.now()), 1000);

const pour = computed(() => (store.piece ? pourRecordOf({ ...store.piece, events: store.log }) : null));
/** What lies there, as a plan: its middle, and when its top opens. */
const lies = computed(() => {
  const support = store.piece?.support;
  if (!support || store.layers.length === 0) return null;
  let made = 0;
  const plan = planOfPour(store.log, paints.value, support, () => `so far ${(made += 1)}`);
  const spun = dataOf(store.events, 'spin').length > 0;
  const settings = spun ? plan.settings : { ...plan.settings, spinRpm: 0, spinSeconds: 0 };
  return { ...plan, settings };
});
const opens = computed(() => {
  const stack = lies.value?.stacks[0];
  if (!lies.value || !stack || stack.layers.length < 2) return null;
  return quietly(() => {
    const { interfaces } = coreSample(lies.value!, stack, paints.value, {
      blowers: equipment.blowers,
      moment: 'blown',
    });
    return interfaces.at(-1)?.opens ?? null;
  });
});
const middleMm = computed(() =>
  lies.value === null ? null : quietly(() => middleFilm(lies.value!, paints.value)?.afterMm ?? null),
);

/** What cannot be worked out of a half-poured piece is not said. */
function quietly<Value>(work: () => Value): Value | null {
  try {
    return work();
  } catch (error) {
    if (error instanceof InputError) return null;
    throw error;
  }
}

const marks = computed(() => {
  if (!pour.value || !store.piece) return [];
  return soFar({
    pour: pour.value,
    log: store.log,
    nowMs: nowMs.value,
    aims: store.piece.aims,
    opens: opens.value,
    middleMm: middleMm.value,
    successes: successes.of(store.piece),
  }).map((mark) => ({ ...mark, words: markWords(mark, measures.value) }));
});
</script>

<template>
  <section v-if="marks.length > 0" class="so-far" aria-label="Stop or go on?">
    <p v-for="mark in marks" :key="mark.code" :class="mark.verdict">
      <strong>{{ mark.words.advice }}.</strong> <span class="soft">{{ mark.words.because }}</span>
    </p>
  </section>
</template>

<style scoped>
.so-far {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(250px, 1fr));
  gap: 4px 16px;
  margin-top: 12px;
  font-size: var(--type-text);
}

p {
  padding-left: 8px;
  border-left: 4px solid var(--ice-deep);
  line-height: 1.35;
}

.more {
  border-color: var(--brass);
}

.too-much {
  border-color: var(--alarm);
}
</style>
