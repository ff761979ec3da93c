<script setup lang="ts">
import { computed } from 'vue';
import { moundLaterMm, stickfulAt, surfaceLine, surfacePath } from './mound.ts';

/** One stickful running back into a cup, at a moment of its turn; across 1 unit is 1 mm, heights are three times as large. */
const props = defineProps<{
  viscosityPaS: number;
  seconds: number;
  colorHex: string;
  /** Without the line of what stands a second later. */
  bare?: boolean;
}>();

const FRAME = { width: 60, level: 42, bottom: 54 };
const STICK_Y = 5;
/** Heights are drawn so many times as large, as far as the cup and the stick leave room. */
const RELIEF = 3;
const HIGHEST = 30;
const LOWEST = -10;
const drawnHeight = (mm: number) => Math.max(LOWEST, Math.min(HIGHEST, RELIEF * mm));

const now = computed(() => stickfulAt(props.viscosityPaS, props.seconds));
const surface = computed(() => surfacePath(drawnHeight(now.value.heightMm), FRAME));
/** One second after it has run out. */
const later = computed(() => surfaceLine(drawnHeight(moundLaterMm(props.viscosityPaS)), FRAME));
const ribbon = computed(() => {
  const { ribbon: reach, widthMm, heightMm } = now.value;
  if (reach === 0) return '';
  const middle = FRAME.width / 2;
  const end = STICK_Y + reach * (FRAME.level - drawnHeight(heightMm) - STICK_Y);
  const top = widthMm * 0.9 + 1.4;
  const half = widthMm / 2;
  return `M${middle - top} ${STICK_Y}C${middle - half} ${STICK_Y + 5} ${middle - half} ${end - 4} ${middle - half} ${end}L${middle + half} ${end}C${middle + half} ${end - 4} ${middle + half} ${STICK_Y + 5} ${middle + top} ${STICK_Y}Z`;
});
</script>

<template>
  <svg viewBox="0 0 60 56" aria-hidden="true">
    <path :d="surface" :fill="colorHex" class="paint" />
    <path v-if="ribbon" :d="ribbon" :fill="colorHex" class="paint" />
    <template v-if="!bare">
      <path :d="later" class="later-halo" />
      <path :d="later" class="later" />
    </template>
    <rect x="12" :y="STICK_Y - 2.4" width="36" height="2.8" rx="1.2" class="stick" />
    <path d="M0.5 22L0.5 55.5L59.5 55.5L59.5 22" class="cup" />
  </svg>
</template>

<style scoped>
svg {
  display: block;
  width: 100%;
}

.paint {
  stroke: var(--ink-soft);
  stroke-width: 0.6;
}

.later,
.later-halo {
  fill: none;
  stroke: var(--ink);
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
