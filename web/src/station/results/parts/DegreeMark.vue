<script setup lang="ts">
import { degreeWord } from '../../../words/general.ts';

/** A judgement as a short row of steps, filled as far as it goes, with its word. */
defineProps<{ label: string; degree: number | null }>();
const STEPS = 4;
</script>

<template>
  <span class="mark" :title="`${label}: ${degreeWord(degree)}`">
    <span class="label">{{ label }}</span>
    <svg width="42" height="12" viewBox="0 0 42 12" aria-hidden="true">
      <path
        v-for="step in STEPS"
        :key="step"
        :d="`M${step * 10 - 9} 11L${step * 10 - 7} ${9 - step * 2}h6L${step * 10 - 1} 11Z`"
        :class="{ full: degree !== null && step <= degree }"
      />
    </svg>
    <span class="visually-hidden">{{ degreeWord(degree) }}</span>
  </span>
</template>

<style scoped>
.mark {
  display: grid;
  grid-template-columns: 44px 42px;
  align-items: center;
  font-size: 13px;
}

path {
  fill: var(--ice);
  stroke: var(--ice-deep);
}

.full {
  fill: var(--water);
  stroke: var(--water);
}
</style>
