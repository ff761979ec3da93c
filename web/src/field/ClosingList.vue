<script setup lang="ts">
import { CLOSING_STEPS, type ClosingStep } from '@icy-ribbon/core/piece/care';
import { Checkbox } from 'ant-design-vue';
import { computed } from 'vue';
import { attempt } from '../notice/useTask.ts';
import { usePiece } from '../store/piece/piece.ts';
import { CLOSING_LABELS } from '../words/care.ts';

/** What is cleaned and kept once a pour is over; each tick stays with the piece. */
const store = usePiece();
const left = computed(() => store.cups.filter(({ state }) => state.leftMg > 0).length);
const idOf = (step: ClosingStep) =>
  store.piece?.care.findLast(
    (event) => event.kind === 'closing' && event.data.step === step && store.care.closed.has(step),
  )?.id;
const tick = (step: ClosingStep) =>
  attempt(async () => {
    const id = idOf(step);
    if (id) await store.takeBackCare(id);
    else await store.noteCare('closing', { step });
  });
</script>

<template>
  <details v-if="store.piece" class="closing" open>
    <summary>
      Clean and keep
      <span class="soft">{{ store.care.closed.size }} of {{ CLOSING_STEPS.length }}</span>
    </summary>
    <ul>
      <li v-for="step in CLOSING_STEPS" :key="step">
        <Checkbox :checked="store.care.closed.has(step)" @change="tick(step)">
          {{ CLOSING_LABELS[step] }}
        </Checkbox>
        <RouterLink v-if="step === 'left-overs' && left > 0" :to="`/labels?of=cups&pieces=${store.piece.id}`">
          Labels for {{ left }} {{ left === 1 ? 'cup' : 'cups' }}
        </RouterLink>
      </li>
    </ul>
  </details>
</template>

<style scoped>
summary {
  font-weight: var(--weight-strong);
  cursor: pointer;
}

ul {
  margin: 4px 0 0;
}

li {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 12px;
  align-items: center;
  min-height: 36px;
}
</style>
