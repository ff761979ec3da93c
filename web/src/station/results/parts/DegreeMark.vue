<script setup lang="ts">
import { computed } from 'vue';
import { degreeWord } from '#words/general.ts';

/** A judgement as one lozenge, the thicker the more of it, with its word. */
const props = defineProps<{ label: string; degree: number | null }>();
const WIDTH = 42;
const HEIGHT = 12;
/** From "none" to "very much", px. */
const THICK = [2, 4, 6, 8, 10] as const;
const path = computed(() => {
  const half = (THICK[props.degree ?? 0] ?? THICK[0]) / 2;
  const middle = HEIGHT / 2;
  return `M1 ${middle}L${WIDTH / 2} ${middle - half}L${WIDTH - 1} ${middle}L${WIDTH / 2} ${middle + half}Z`;
});
</script>

<template>
  <span class="mark" :title="`${label}: ${degreeWord(degree)}`">
    <span class="label">{{ label }}</span>
    <svg :width="WIDTH" :height="HEIGHT" :viewBox="`0 0 ${WIDTH} ${HEIGHT}`" aria-hidden="true">
      <path :d="path" :class="degree === null ? 'unknown' : 'known'" />
    </svg>
    <span class="visually-hidden">{{ degreeWord(degree) }}</span>
  </span>
</template>

<style scoped>
.mark {
  display: grid;
  grid-template-columns: 44px minmax(42px, max-content);
  align-items: center;
  font-size: var(--type-note);
}

.unknown {
  fill: none;
  stroke: var(--edge);
  stroke-dasharray: 2 3;
}

.known {
  fill: var(--ink);
}
</style>
