<script setup lang="ts">
import type { PieceSummary } from '@icy-ribbon/contract';
import { PHASE_WORDS } from '../words/cup.ts';

/** The cups of a piece in a row: filled once mixed, half while being weighed in, empty before. */
defineProps<{ cups: PieceSummary['mixes'] }>();

const FILL = { planned: 0, weighing: 0.5, mixed: 1 } as const;
</script>

<template>
  <ul class="dots">
    <li v-for="cup in cups" :key="cup.id" :title="`${cup.name}, ${PHASE_WORDS[cup.phase]}`">
      <svg
        width="18"
        height="22"
        viewBox="0 0 18 22"
        role="img"
        :aria-label="`${cup.name}, ${PHASE_WORDS[cup.phase]}`"
      >
        <path
          v-if="FILL[cup.phase] > 0"
          :d="`M${3.5 - 2.5 * FILL[cup.phase]} ${21 - 19 * FILL[cup.phase]}L3.5 21L14.5 21L${14.5 + 2.5 * FILL[cup.phase]} ${21 - 19 * FILL[cup.phase]}Z`"
          :fill="cup.colorHex"
        />
        <path d="M1 1L3.5 21L14.5 21L17 1" class="cup" />
      </svg>
    </li>
    <li v-if="cups.length === 0" class="soft">none yet</li>
  </ul>
</template>

<style scoped>
.dots {
  display: flex;
  gap: 4px;
  margin: 0;
  padding: 0;
  list-style: none;
}

svg {
  display: block;
}

.cup {
  fill: none;
  stroke: var(--ink-soft);
  stroke-width: 1.25;
}
</style>
