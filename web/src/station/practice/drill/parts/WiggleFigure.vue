<script setup lang="ts">
import { wiggleLeft } from '@icy-ribbon/core/drill/eye';
import { computed } from 'vue';

/** A line drawn through a film with a stick, seen from the side, so long after; heights are drawn three times as large. */
const props = defineProps<{ viscosityPaS: number; seconds: number; colorHex: string }>();

const WIDTH = 60;
const LEVEL = 30;
const BOTTOM = 54;
const WAVES = 5;
const HIGH = 10;
const STEPS = 100;

const outline = computed(() => {
  const high = HIGH * wiggleLeft(props.viscosityPaS, props.seconds);
  const points = Array.from({ length: STEPS + 1 }, (_, at) => {
    const x = (WIDTH * at) / STEPS;
    return `${x.toFixed(1)} ${(LEVEL - high * Math.sin((2 * Math.PI * WAVES * at) / STEPS)).toFixed(2)}`;
  });
  return `M0 ${BOTTOM}L${points.join('L')}L${WIDTH} ${BOTTOM}Z`;
});
</script>

<template>
  <svg viewBox="0 0 60 56" aria-hidden="true">
    <path :d="outline" :fill="colorHex" />
    <path d="M0 55H60" class="board" />
  </svg>
</template>

<style scoped>
svg {
  display: block;
  width: 100%;
}

path {
  stroke: var(--ink-soft);
  stroke-width: 0.6;
}

.board {
  stroke-width: 2;
}
</style>
