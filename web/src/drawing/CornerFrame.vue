<script setup lang="ts">
import { useElementSize } from '@vueuse/core';
import { computed, ref } from 'vue';
import { CORNER_NAMES, cornerStep, type FrameCorners } from './corners.ts';

/** A picture with the corners of what it shows, to be pulled or moved by the arrow keys. */
const props = defineProps<{
  src: string;
  alt: string;
  widthPx: number;
  heightPx: number;
  /** A place that was clicked: the gray card, say. */
  card?: readonly [number, number] | null;
  /** Whether a click in the picture is wanted. */
  picking?: boolean;
}>();
const emit = defineEmits<{ load: [image: HTMLImageElement]; pick: [place: [number, number]] }>();
const corners = defineModel<FrameCorners | null>('corners', { required: true });
/** The number of the corner that was touched last. */
const chosen = defineModel<number>('chosen', { default: 0 });

const dragging = ref(false);
const box = ref<HTMLElement | null>(null);
const image = ref<HTMLImageElement | null>(null);
const { width, height } = useElementSize(box);
const scale = computed(() => Math.min(width.value / props.widthPx || 1, height.value / props.heightPx || 1));
const quad = computed(() => corners.value?.map((corner) => corner.join(',')).join(' '));

function placeOf(event: MouseEvent): [number, number] {
  const frame = image.value!.getBoundingClientRect();
  const clamp = (value: number, most: number) => Math.min(most, Math.max(0, value));
  return [
    clamp((event.clientX - frame.left) / scale.value, props.widthPx),
    clamp((event.clientY - frame.top) / scale.value, props.heightPx),
  ];
}

function put(index: number, place: [number, number]): void {
  if (!corners.value) return;
  const [a, b, c, d] = corners.value;
  const at = (corner: number, old: [number, number]) => (corner === index ? place : old);
  corners.value = [at(0, a), at(1, b), at(2, c), at(3, d)];
  chosen.value = index;
}

function grab(index: number, event: PointerEvent): void {
  chosen.value = index;
  dragging.value = true;
  (event.currentTarget as Element).setPointerCapture(event.pointerId);
}

function nudge(index: number, event: KeyboardEvent): void {
  const corner = corners.value?.[index];
  const step = cornerStep(event.key, event.shiftKey);
  if (!corner || !step) return;
  event.preventDefault();
  event.stopPropagation();
  put(index, [corner[0] + step[0], corner[1] + step[1]]);
}
</script>

<template>
  <div ref="box" class="box">
    <div
      class="frame"
      :class="{ picking }"
      :style="{ width: `${widthPx * scale}px`, height: `${heightPx * scale}px` }"
      @click="picking && emit('pick', placeOf($event))"
    >
      <img ref="image" :src="src" :alt="alt" draggable="false" @load="image && emit('load', image)" />
      <svg v-if="corners" :viewBox="`0 0 ${widthPx} ${heightPx}`">
        <polygon :points="quad" class="halo" />
        <polygon :points="quad" class="quad" />
        <g v-if="card" class="card">
          <circle :cx="card[0]" :cy="card[1]" :r="9 / scale" class="halo" />
          <circle :cx="card[0]" :cy="card[1]" :r="9 / scale" class="quad" />
        </g>
      </svg>
      <button
        v-for="(corner, index) in corners ?? []"
        :key="index"
        class="corner"
        :class="{ chosen: index === chosen }"
        :style="{ left: `${corner[0] * scale}px`, top: `${corner[1] * scale}px` }"
        :aria-label="`Corner ${CORNER_NAMES[index]}, ${Math.round(corner[0])} and ${Math.round(corner[1])} pixels; arrow keys move it`"
        @pointerdown="grab(index, $event)"
        @pointermove="dragging && put(chosen, placeOf($event))"
        @pointerup="dragging = false"
        @keydown="nudge(index, $event)"
        @focus="chosen = index"
        @click.stop
      ></button>
    </div>
  </div>
</template>

<style scoped>
.box {
  display: grid;
  place-items: center;
  min-height: 0;
  margin: 12px;
  overflow: hidden;
}

.frame {
  position: relative;
  touch-action: none;
}

.picking {
  cursor: crosshair;
}

img,
svg {
  position: absolute;
  inset: 0;
  width: 100%;
  height: 100%;
}

svg {
  pointer-events: none;
}

.quad,
.halo {
  fill: none;
  stroke: var(--photo-held);
  stroke-width: 1.5px;
  vector-effect: non-scaling-stroke;
}

.halo {
  stroke: var(--photo-edge);
  stroke-width: 3.5px;
}

.corner {
  position: absolute;
  width: 30px;
  height: 30px;
  margin: -16px 0 0 -16px;
  padding: 0;
  border: 2px solid var(--photo-line);
  border-radius: 50%;
  box-shadow: 0 0 0 1px var(--photo-edge);
  background: none;
  cursor: move;
  touch-action: none;
}

.corner.chosen {
  border-color: var(--photo-held);
}
</style>
