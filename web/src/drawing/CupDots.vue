<script setup lang="ts">
import type { PieceSummary } from '@icy-ribbon/contract';
import { computed } from 'vue';
import { PHASE_WORDS } from '../words/cup.ts';

/** The cups of a piece in a row: filled once mixed, half while being weighed in, empty before. */
const props = defineProps<{ cups: PieceSummary['mixes']; large?: boolean }>();
/** Small in lists, 64 px high where one piece is shown. */
const size = computed(() => (props.large ? { width: 52, height: 64 } : { width: 18, height: 22 }));

const FILL = { planned: 0, weighing: 0.5, mixed: 1 } as const;
</script>

<template>
  <ul class="dots abreast gap-4" :class="{ large }">
    <li v-for="cup in cups" :key="cup.id" :title="`${cup.name}, ${PHASE_WORDS[cup.phase]}`">
      <svg
        :width="size.width"
        :height="size.height"
        viewBox="0 0 18 22"
        role="img"
        :aria-label="`${cup.name}, ${PHASE_WORDS[cup.phase]}`"
      >
        <path
          v-if="FILL[cup.phase] > 0"
          :d="`M${3.5 - 2.5 * FILL[cup.phase]} ${21 - 19 * FILL[cup.phase]}L3.5 21L14.5 21L${14.5 + 2.5 * FILL[cup.phase]} ${21 - 19 * FILL[cup.phase]}Z`"
          :fill="cup.colorHex"
          class="paint"
        />
        <path d="M1 1L3.5 21L14.5 21L17 1" class="cup" />
      </svg>
      <span v-if="large" class="name">{{ cup.name }}</span>
    </li>
    <li v-if="cups.length === 0" class="soft">none yet</li>
  </ul>
</template>

<style scoped>
.large {
  flex-wrap: wrap;
  gap: 6px;
}

.large li {
  display: grid;
  justify-items: center;
}

.name {
  font-size: var(--type-note);
}

svg {
  display: block;
}

.paint {
  stroke: var(--ink-soft);
  stroke-width: var(--paint-edge);
  vector-effect: non-scaling-stroke;
}

.cup {
  fill: none;
  stroke: var(--ink-soft);
  stroke-width: 1.25;
  vector-effect: non-scaling-stroke;
}
</style>
