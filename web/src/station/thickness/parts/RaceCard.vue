<script setup lang="ts">
import { computed, ref } from 'vue';
import { runShare, trailPath } from '#drawing/card.ts';
import type { Lane, RaceBy } from './race.ts';

/** The card from above with its lanes; dots run as the clock runs, or their ends are dragged. */
const props = defineProps<{
  lanes: readonly Lane[];
  by: RaceBy;
  elapsed: number;
  running: boolean;
  results: Readonly<Record<string, number>>;
}>();
const emit = defineEmits<{ stop: [key: string]; drag: [key: string, lengthMm: number] }>();

const LANE = 66;
const NAME_LENGTH = 10;
const TOP = 64;
const LINE = 344;
const HEIGHT = 420;
const DOT = 14;
/** Millimeters of card for each unit: the line lies 112 mm below the start. */
const MM = 0.4;

const svg = ref<SVGSVGElement | null>(null);
const dragged = ref<string | null>(null);
const width = computed(() => Math.max(3, props.lanes.length) * LANE);

const laneX = (index: number) => (width.value * (index + 0.5)) / props.lanes.length;

const drawn = computed(() =>
  props.lanes.map((lane, index) => {
    const result = props.results[lane.key] ?? null;
    const share =
      props.by === 'length'
        ? result === null
          ? 0.12
          : result / MM / (LINE - TOP)
        : props.running || result !== null
          ? runShare(lane.viscosityPaS, props.elapsed, result)
          : 0;
    const length = Math.max(2 * DOT, share * (LINE - TOP) + DOT);
    return {
      ...lane,
      key: lane.key,
      shortName: lane.name.length > NAME_LENGTH ? `${lane.name.slice(0, NAME_LENGTH - 1)}…` : lane.name,
      number: index + 1,
      x: laneX(index),
      end: TOP + length,
      path: trailPath(laneX(index), TOP - DOT, length, DOT),
      result:
        result === null ? '' : props.by === 'time' ? `${result.toFixed(1)} s` : `${Math.round(result)} mm`,
    };
  }),
);

function press(key: string, event: PointerEvent): void {
  if (props.by === 'time') {
    emit('stop', key);
    return;
  }
  dragged.value = key;
  svg.value?.setPointerCapture(event.pointerId);
  move(event);
}

function move(event: PointerEvent): void {
  const matrix = svg.value?.getScreenCTM();
  if (!dragged.value || !matrix) return;
  const y = new DOMPoint(event.clientX, event.clientY).matrixTransform(matrix.inverse()).y;
  const lengthMm = Math.round((Math.min(HEIGHT - 20, Math.max(TOP + 8, y)) - TOP) * MM);
  emit('drag', dragged.value, lengthMm);
}

const spoken = computed(
  () => `The card with ${props.lanes.map((lane, index) => `lane ${index + 1} ${lane.name}`).join(', ')}`,
);
</script>

<template>
  <svg
    ref="svg"
    :viewBox="`0 0 ${width} ${HEIGHT}`"
    role="img"
    :aria-label="spoken"
    @pointermove="move"
    @pointerup="dragged = null"
    @pointercancel="dragged = null"
  >
    <rect class="card" x="0.5" y="0.5" :width="width - 1" :height="HEIGHT - 1" rx="3" />
    <line class="start" x1="10" :x2="width - 10" :y1="TOP" :y2="TOP" />
    <line v-if="by === 'time'" class="line" x1="10" :x2="width - 10" :y1="LINE" :y2="LINE" />
    <g v-else class="scale">
      <template v-for="mm in [20, 40, 60, 80, 100, 120]" :key="mm">
        <line x1="0" :x2="6" :y1="TOP + mm / MM" :y2="TOP + mm / MM" />
        <text x="9" :y="TOP + mm / MM + 4">{{ mm }}</text>
      </template>
    </g>
    <g v-for="lane in drawn" :key="lane.key" class="lane" @pointerdown="press(lane.key, $event)">
      <rect class="hit" :x="lane.x - LANE / 2" y="0" :width="LANE" :height="HEIGHT" />
      <path :d="lane.path" :fill="lane.colorHex" class="paint" />
      <text class="number" :x="lane.x" y="18">{{ lane.number }}</text>
      <text class="name" :x="lane.x" :y="HEIGHT - 26">{{ lane.shortName }}</text>
      <text class="result" :x="lane.x" :y="HEIGHT - 8">{{ lane.result }}</text>
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

.card {
  fill: var(--bench);
  stroke: var(--edge);
  stroke-width: 1.5;
}

.start,
.scale line {
  stroke: var(--edge);
}

.line {
  stroke: var(--brass);
  stroke-width: 2;
  stroke-dasharray: 6 4;
}

.scale text {
  font-size: var(--type-note);
  fill: var(--ink-soft);
}

.lane {
  cursor: pointer;
}

.hit {
  fill: transparent;
}

.paint {
  stroke: var(--ink-soft);
  stroke-width: var(--paint-edge);
}

.number {
  font-size: var(--type-text);
  font-weight: var(--weight-strong);
  text-anchor: middle;
  fill: var(--ink-soft);
}

.name {
  font-size: var(--type-note);
  text-anchor: middle;
  fill: var(--ink);
}

.result {
  font-size: var(--type-text);
  font-weight: var(--weight-strong);
  text-anchor: middle;
  fill: var(--ink);
}
</style>
