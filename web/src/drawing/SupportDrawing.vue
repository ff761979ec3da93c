<script setup lang="ts">
import { bearingOf } from '@icy-ribbon/core/flow/air';
import { isLaidPath, type LaidShape, type Mark } from '@icy-ribbon/core/piece/event';
import type { Place } from '@icy-ribbon/core/piece/plan';
import type { SupportSize } from '@icy-ribbon/core/piece/support';
import { computed, ref, useId } from 'vue';
import { baseShapes, faceOutline, pathBands, stackDisks, type PlanContext } from './plan.ts';
import { puddlePath } from './puddle.ts';
import { airPath, markPath, type DrawnPass } from './support.ts';

const props = defineProps<{
  support: SupportSize;
  /** What lies on it, drawn as plans are. */
  laid: PlanContext | null;
  /** Where the next layer goes. */
  next: LaidShape | null;
  /** What was scraped, broken or drawn, and what is about to be. */
  marks: readonly Mark[];
  mark: Mark | null;
  passes: readonly DrawnPass[];
  draft: DrawnPass | null;
  drawable: boolean;
}>();

const emit = defineEmits<{
  swipe: [from: { x: number; y: number }, directionDeg: number];
  /** A tap or a stroke, in mm. */
  stroke: [start: Place, end: Place];
}>();

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

const areas = computed(() => (props.laid ? baseShapes(props.laid) : []));
const bands = computed(() => props.laid?.plan.paths.flatMap((path) => pathBands(props.laid!, path)) ?? []);
const disks = computed(
  () => props.laid?.plan.stacks.flatMap((stack) => stackDisks(props.laid!, stack)) ?? [],
);

const outline = (places: readonly Place[]) =>
  places.map(({ x, y }) => `${x.toFixed(1)},${y.toFixed(1)}`).join(' ');
/** The next layer's outline; its seam too, where two bases meet. */
const nextPath = computed(() => {
  const { next } = props;
  if (!next) return '';
  if (next.kind === 'face') {
    const face = `M${outline(faceOutline(props.support)).replaceAll(' ', 'L')}Z`;
    return next.seam ? face + curve(next.seam) : face;
  }
  if (isLaidPath(next)) return curve(next);
  const radius = next.footprintMm / 2;
  const { x, y } = next.at;
  return `M${x - radius} ${y}a${radius} ${radius} 0 1 0 ${2 * radius} 0a${radius} ${radius} 0 1 0 ${-2 * radius} 0`;
});

const curve = ({ start, control, end }: { start: Place; control: Place; end: Place }) =>
  `M${start.x} ${start.y}Q${control.x} ${control.y} ${end.x} ${end.y}`;

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
  const begun = { x: from.x * props.support.widthMm, y: from.y * props.support.heightMm };
  emit('stroke', begun, { x: point.x, y: point.y });
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
      <rect :width="support.widthMm" :height="support.heightMm" class="bare" />
      <polygon
        v-for="(area, index) in areas"
        :key="index"
        :points="outline(area.outline)"
        :fill="area.colorHex"
      />
      <polyline
        v-for="(band, index) in bands"
        :key="`band ${index}`"
        :points="outline(band.places)"
        :stroke="band.colorHex"
        :stroke-width="band.widthMm"
        class="band"
      />
      <path
        v-for="(disk, index) in disks"
        :key="`disk ${index}`"
        :d="puddlePath(disk.at.x, disk.at.y, disk.radiusMm)"
        :fill="disk.colorHex"
        class="puddle"
        :stroke-width="stroke * 0.4"
      />
      <path v-if="nextPath" :d="nextPath" class="next-halo" :stroke-width="stroke * 3" />
      <path
        v-if="nextPath"
        :d="nextPath"
        class="next"
        :stroke-width="stroke * 1.4"
        :stroke-dasharray="`${4 * stroke} ${3 * stroke}`"
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
    <g v-for="(each, index) in marks" :key="`mark ${index}`">
      <path :d="markPath(each, support)" :stroke-width="stroke * 3" class="halo" />
      <path :d="markPath(each, support)" :stroke-width="stroke * 1.2" class="touched" />
    </g>
    <g v-if="mark">
      <path :d="markPath(mark, support)" :stroke-width="stroke * 4.4" class="halo" />
      <path :d="markPath(mark, support)" :stroke-width="stroke * 2.4" class="draft" />
    </g>
    <path
      v-for="(pass, index) in passes"
      :key="`pass ${index}`"
      :d="airPath(pass, support)"
      :stroke-width="stroke"
      class="air"
    />
    <path v-if="draft" :d="airPath(draft, support)" :stroke-width="stroke" class="air coming" />
  </svg>
</template>

<style scoped>
svg {
  display: block;
  width: 100%;
  height: 100%;
  touch-action: none;
}

.bare {
  fill: var(--bench);
}

.band {
  fill: none;
  stroke-linejoin: round;
}

.next,
.next-halo {
  fill: none;
  stroke: var(--brass);
}

.next-halo {
  stroke: var(--bench);
  stroke-opacity: 0.8;
}

.drawable {
  cursor: crosshair;
}

.puddle {
  stroke: var(--ink);
  stroke-opacity: 0.6;
}

.edge {
  fill: none;
  stroke: var(--ink-soft);
}

.air {
  fill: var(--ink);
  stroke: var(--bench);
  stroke-linejoin: round;
}

/* What is about to be done: the next action. */
.air.coming {
  fill: var(--brass);
  stroke: var(--ink);
}

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

.touched {
  fill: none;
  stroke: var(--ink);
  stroke-linecap: round;
}

.draft {
  stroke: var(--brass);
}
</style>
