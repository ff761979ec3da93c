<script setup lang="ts">
import { useId } from 'vue';
import { degreeWord } from '../../../words/general.ts';

/** A judgement as a petal that is filled as far as it goes, with its word. */
defineProps<{ label: string; degree: number | null }>();
const STEPS = 4;
const WIDTH = 42;
const clip = useId();
</script>

<template>
  <span class="mark" :title="`${label}: ${degreeWord(degree)}`">
    <span class="label">{{ label }}</span>
    <svg :width="WIDTH" height="12" :viewBox="`0 0 ${WIDTH} 12`" aria-hidden="true">
      <clipPath :id="clip"><rect :width="(WIDTH * (degree ?? 0)) / STEPS" height="12" /></clipPath>
      <path d="M1 9C10 -1 30 -1 41 6C30 13 12 12 1 9Z" class="petal" />
      <path d="M1 9C10 -1 30 -1 41 6C30 13 12 12 1 9Z" class="full" :clip-path="`url(#${clip})`" />
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

.petal {
  fill: var(--ice);
  stroke: var(--ice-deep);
}

.full {
  fill: var(--water);
  stroke: var(--water);
}
</style>
