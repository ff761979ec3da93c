<script setup lang="ts">
import { bearingName, bearingOf, normalizeDeg } from '@icy-ribbon/core/flow/air';
import { ref } from 'vue';

/** Degrees clockwise from the top of the support. */
const degrees = defineModel<number>({ required: true });

const SNAP = 5;
const dial = ref<SVGSVGElement | null>(null);
const turning = ref(false);

function turnTo(event: PointerEvent): void {
  const box = dial.value?.getBoundingClientRect();
  if (!box) return;
  const dx = event.clientX - (box.left + box.width / 2);
  const dy = event.clientY - (box.top + box.height / 2);
  if (Math.hypot(dx, dy) < 6) return;
  degrees.value = normalizeDeg(Math.round(bearingOf(dx, dy) / SNAP) * SNAP);
}

function start(event: PointerEvent): void {
  turning.value = true;
  dial.value?.setPointerCapture(event.pointerId);
  turnTo(event);
}

const STEPS: Readonly<Record<string, number>> = {
  ArrowRight: SNAP,
  ArrowUp: SNAP,
  ArrowLeft: -SNAP,
  ArrowDown: -SNAP,
  PageUp: 45,
};

function press(event: KeyboardEvent): void {
  const step = STEPS[event.key];
  if (step === undefined) return;
  event.preventDefault();
  degrees.value = normalizeDeg(degrees.value + step);
}
</script>

<template>
  <svg
    ref="dial"
    viewBox="-50 -50 100 100"
    role="slider"
    tabindex="0"
    aria-label="Direction of the air"
    aria-valuemin="0"
    aria-valuemax="359"
    :aria-valuenow="degrees"
    :aria-valuetext="`${degrees} degrees, ${bearingName(degrees)}`"
    @pointerdown="start"
    @pointermove="turning && turnTo($event)"
    @pointerup="turning = false"
    @keydown="press"
  >
    <circle r="44" class="rim" />
    <line v-for="mark in 8" :key="mark" :transform="`rotate(${mark * 45})`" y1="-44" y2="-38" class="mark" />
    <g :transform="`rotate(${degrees})`">
      <path d="M-1.5 30L1.5 30L9 -24A9 9 0 0 0 -9 -24Z" class="air" />
    </g>
  </svg>
</template>

<style scoped>
svg {
  width: 100%;
  cursor: grab;
  touch-action: none;
}

.rim {
  fill: var(--bench);
  stroke: var(--edge);
  stroke-width: 2;
}

.mark {
  stroke: var(--ink-soft);
}

.air {
  fill: var(--ink);
}
</style>
