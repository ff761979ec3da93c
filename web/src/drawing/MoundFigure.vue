<script setup lang="ts">
import { computed } from 'vue';
import { moundLaterMm, stickfulAt, surfaceLine, surfacePath } from './mound.ts';

/** One stickful running back into a cup, at a moment of its turn; 1 unit is 1 mm. */
const props = defineProps<{ viscosityPaS: number; seconds: number; colorHex: string }>();

const FRAME = { width: 60, level: 30, bottom: 40 };
const STICK_Y = 4;

const now = computed(() => stickfulAt(props.viscosityPaS, props.seconds));
const surface = computed(() => surfacePath(now.value.heightMm, FRAME));
/** One second after it has run out. */
const later = computed(() => surfaceLine(moundLaterMm(props.viscosityPaS), FRAME));
const ribbon = computed(() => {
  const { ribbon: reach, widthMm, heightMm } = now.value;
  if (reach === 0) return '';
  const middle = FRAME.width / 2;
  const end = STICK_Y + reach * (FRAME.level - heightMm - STICK_Y);
  const top = widthMm * 0.9 + 1.4;
  const half = widthMm / 2;
  return `M${middle - top} ${STICK_Y}C${middle - half} ${STICK_Y + 8} ${middle - half} ${end - 6} ${middle - half} ${end}L${middle + half} ${end}C${middle + half} ${end - 6} ${middle + half} ${STICK_Y + 8} ${middle + top} ${STICK_Y}Z`;
});
</script>

<template>
  <svg viewBox="0 0 60 42" aria-hidden="true">
    <path :d="surface" :fill="colorHex" class="paint" />
    <path v-if="ribbon" :d="ribbon" :fill="colorHex" class="paint" />
    <path :d="later" class="later-halo" />
    <path :d="later" class="later" />
    <rect x="12" :y="STICK_Y - 2.4" width="36" height="2.4" rx="1.2" class="stick" />
    <path d="M0.5 14L0.5 41.5L59.5 41.5L59.5 14" class="cup" />
  </svg>
</template>

<style scoped>
svg {
  display: block;
  width: 100%;
}

.paint {
  stroke: var(--ink-soft);
  stroke-width: 0.3;
}

.later,
.later-halo {
  fill: none;
  stroke: var(--brass);
  stroke-width: 0.8;
  stroke-dasharray: 2 1.4;
}

.later-halo {
  stroke: var(--bench);
  stroke-width: 1.2;
  stroke-dasharray: none;
  stroke-opacity: 0.7;
}

.stick {
  fill: var(--ink-soft);
}

.cup {
  fill: none;
  stroke: var(--ink-soft);
  stroke-width: 0.8;
}
</style>
