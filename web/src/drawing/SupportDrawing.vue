<script setup lang="ts">
import { bearingOf } from '@icy-ribbon/core/flow/air';
import type { SupportSize } from '@icy-ribbon/core/piece/support';
import { computed, ref, useId } from 'vue';
import { arrowPath, puddleRadiusMm, type DrawnPass } from './support.ts';

const props = defineProps<{
  support: SupportSize;
  baseHex: string | null;
  puddles: readonly { readonly id: string; readonly colorHex: string; readonly mg: number }[];
  passes: readonly DrawnPass[];
  draft: DrawnPass | null;
  drawable: boolean;
}>();

const emit = defineEmits<{ swipe: [from: { x: number; y: number }, directionDeg: number] }>();

const svg = ref<SVGSVGElement | null>(null);
const start = ref<{ x: number; y: number } | null>(null);
const clip = useId();
const MARGIN = 0.06;

const margin = computed(() => Math.max(props.support.widthMm, props.support.heightMm) * MARGIN);
const box = computed(
  () =>
    `${-margin.value} ${-margin.value} ${props.support.widthMm + 2 * margin.value} ${props.support.heightMm + 2 * margin.value}`,
);
const span = computed(() => Math.min(props.support.widthMm, props.support.heightMm));
const stroke = computed(() => span.value / 130);

/** The pile from below: each later puddle lies on the earlier ones and is drawn inside them. */
const pile = computed(() => {
  const radii = props.puddles.map((puddle) => puddleRadiusMm(puddle.mg));
  return props.puddles.map((puddle, index) => ({
    ...puddle,
    radius: Math.sqrt(radii.slice(index).reduce((sum, radius) => sum + radius ** 2, 0)),
  }));
});

function place(event: PointerEvent): { x: number; y: number } | null {
  const matrix = svg.value?.getScreenCTM();
  if (!matrix) return null;
  const point = new DOMPoint(event.clientX, event.clientY).matrixTransform(matrix.inverse());
  const x = point.x / props.support.widthMm;
  const y = point.y / props.support.heightMm;
  return x < 0 || y < 0 || x > 1 || y > 1 ? null : { x, y };
}

function begin(event: PointerEvent): void {
  if (!props.drawable) return;
  start.value = place(event);
  svg.value?.setPointerCapture(event.pointerId);
}

function end(event: PointerEvent): void {
  const from = start.value;
  start.value = null;
  const matrix = svg.value?.getScreenCTM();
  if (!from || !matrix) return;
  const point = new DOMPoint(event.clientX, event.clientY).matrixTransform(matrix.inverse());
  const dx = point.x - from.x * props.support.widthMm;
  const dy = point.y - from.y * props.support.heightMm;
  if (Math.hypot(dx, dy) < 0.04 * span.value) return;
  emit('swipe', from, Math.round(bearingOf(dx, dy)) % 360);
}
</script>

<template>
  <svg
    ref="svg"
    :viewBox="box"
    role="img"
    aria-label="The support from above with what was laid down and blown so far"
    :class="{ drawable }"
    @pointerdown="begin"
    @pointerup="end"
  >
    <defs>
      <clipPath :id="clip">
        <ellipse
          v-if="support.shape === 'round'"
          :cx="support.widthMm / 2"
          :cy="support.heightMm / 2"
          :rx="support.widthMm / 2"
          :ry="support.heightMm / 2"
        />
        <rect v-else :width="support.widthMm" :height="support.heightMm" />
      </clipPath>
    </defs>
    <g :clip-path="`url(#${clip})`">
      <rect
        :width="support.widthMm"
        :height="support.heightMm"
        :fill="baseHex ?? 'var(--bench)'"
        class="face"
      />
      <circle
        v-for="puddle in pile"
        :key="puddle.id"
        :cx="support.widthMm / 2"
        :cy="support.heightMm / 2"
        :r="puddle.radius"
        :fill="puddle.colorHex"
        class="puddle"
        :stroke-width="stroke * 0.4"
      />
    </g>
    <ellipse
      v-if="support.shape === 'round'"
      class="edge"
      :cx="support.widthMm / 2"
      :cy="support.heightMm / 2"
      :rx="support.widthMm / 2"
      :ry="support.heightMm / 2"
      :stroke-width="stroke"
    />
    <rect v-else class="edge" :width="support.widthMm" :height="support.heightMm" :stroke-width="stroke" />
    <g v-for="(pass, index) in passes" :key="index" class="pass">
      <path :d="arrowPath(pass, support)" :stroke-width="stroke * 3.4" class="halo" />
      <path :d="arrowPath(pass, support)" :stroke-width="stroke * 1.6" class="arrow" />
    </g>
    <g v-if="draft">
      <path :d="arrowPath(draft, support)" :stroke-width="stroke * 4.4" class="halo" />
      <path :d="arrowPath(draft, support)" :stroke-width="stroke * 2.4" class="draft" />
    </g>
  </svg>
</template>

<style scoped>
svg {
  display: block;
  width: 100%;
  height: 100%;
  touch-action: none;
}

.drawable {
  cursor: crosshair;
}

.puddle {
  stroke: var(--ink);
  stroke-opacity: 0.35;
}

.edge {
  fill: none;
  stroke: var(--ink-soft);
}

.arrow,
.draft,
.halo {
  fill: none;
  stroke-linecap: round;
  stroke-linejoin: round;
  stroke: var(--ink);
}

.halo {
  stroke: var(--bench);
  stroke-opacity: 0.85;
}

.draft {
  stroke: var(--brass);
}
</style>
