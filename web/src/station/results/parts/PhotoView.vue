<script setup lang="ts">
import { CELL_SIZES } from '#theme/tokens.ts';
import type { Photo, PhotoDetail } from '@icy-ribbon/contract';
import { inverseOf, project } from '@icy-ribbon/core/picture';
import type { Mark } from '@icy-ribbon/core/piece/event';
import type { SupportSize } from '@icy-ribbon/core/piece/support';
import { useElementSize } from '@vueuse/core';
import { computed, ref } from 'vue';
import {
  cellAt,
  cellsOf,
  faceMap,
  outlinePath,
  sizeLimits,
  sizeStep,
  visiblePart,
  type DrawnCell,
} from '#drawing/photoOverlay.ts';
import { markOutline } from '#drawing/support.ts';
import MaskLayer from './MaskLayer.vue';

/** A photo with what was measured drawn over it, each layer by itself. */
export interface Layers {
  readonly cells: boolean;
  readonly net: boolean;
  readonly mud: boolean;
  readonly glare: boolean;
  /** What was scraped, broken, drawn or repaired, and where. */
  readonly work: boolean;
}

export interface Pin {
  readonly id: string;
  readonly label: string;
  readonly at: { readonly x: number; readonly y: number };
}

const props = defineProps<{
  photo: Photo;
  alt: string;
  support: SupportSize;
  detail: PhotoDetail | null;
  layers: Layers;
  pins: readonly Pin[];
  marks: readonly Mark[];
  chosenPin?: string | null;
  /** A click gives a place of the face. */
  placing?: boolean;
}>();
const emit = defineEmits<{
  hover: [cell: DrawnCell | null];
  place: [at: { x: number; y: number }];
  pin: [id: string];
}>();

const box = ref<HTMLElement | null>(null);
const { width, height } = useElementSize(box);
const corners = computed(() => props.photo.measurement?.corners ?? null);
const view = computed(() => visiblePart(props.photo, corners.value));
const scale = computed(() =>
  Math.min(width.value / view.value.width || 1, height.value / view.value.height || 1),
);
const map = computed(
  () => corners.value && faceMap(corners.value, props.support.widthMm, props.support.heightMm),
);
const back = computed(() => map.value && inverseOf(map.value));
const cells = computed(() => (props.detail ? cellsOf(props.detail) : []));
const outlines = computed(() => {
  if (!map.value || !props.layers.cells) return [];
  const limits = sizeLimits(cells.value);
  return CELL_SIZES.map((color, step) => ({
    color,
    path: outlinePath(
      cells.value.filter((cell) => sizeStep(limits, cell.diameterMm) === step),
      map.value!,
    ),
  }));
});

const shownMasks = computed(() => (['net', 'mud', 'glare'] as const).filter((name) => props.layers[name]));

/** Touched places, as they lie in the photo. */
const touched = computed(() =>
  props.layers.work
    ? props.marks.map((mark) =>
        markOutline(mark, props.support)
          .map(({ x, y }) =>
            pinPlace({ x: x / props.support.widthMm, y: y / props.support.heightMm }).join(','),
          )
          .join(' '),
      )
    : [],
);

const pinPlace = (at: { x: number; y: number }): readonly [number, number] =>
  map.value
    ? project(map.value, at.x * props.support.widthMm, at.y * props.support.heightMm)
    : [at.x * props.photo.widthPx, at.y * props.photo.heightPx];

/** The place of the face under the pointer, in millimeters; without corners, as a share of the photo. */
function placeOf(event: MouseEvent): { x: number; y: number } {
  const frame = (event.currentTarget as Element).getBoundingClientRect();
  const u = (event.clientX - frame.left) / scale.value + view.value.x;
  const v = (event.clientY - frame.top) / scale.value + view.value.y;
  const { widthMm, heightMm } = props.support;
  if (!back.value)
    return { x: (u / props.photo.widthPx) * widthMm, y: (v / props.photo.heightPx) * heightMm };
  const [x, y] = project(back.value, u, v);
  return { x, y };
}

function moved(event: PointerEvent): void {
  if (!props.layers.cells || cells.value.length === 0) return;
  const { x, y } = placeOf(event);
  emit('hover', cellAt(cells.value, x, y) ?? null);
}

function clicked(event: MouseEvent): void {
  if (!props.placing) return;
  const { x, y } = placeOf(event);
  const share = (value: number) => Math.min(1, Math.max(0, value));
  emit('place', { x: share(x / props.support.widthMm), y: share(y / props.support.heightMm) });
}
</script>

<template>
  <div ref="box" class="box">
    <div
      class="frame"
      :class="{ placing }"
      :style="{ width: `${view.width * scale}px`, height: `${view.height * scale}px` }"
      @pointermove="moved"
      @pointerleave="emit('hover', null)"
      @click="clicked"
    >
      <div
        class="whole"
        :style="{
          width: `${photo.widthPx * scale}px`,
          height: `${photo.heightPx * scale}px`,
          left: `${-view.x * scale}px`,
          top: `${-view.y * scale}px`,
        }"
      >
        <img :src="`/api/photos/${photo.id}/image`" :alt="alt" draggable="false" />
        <MaskLayer
          v-if="detail && corners"
          :masks="detail.masks"
          :corners="corners"
          :scale="scale"
          :shown="shownMasks"
        />
        <svg :viewBox="`0 0 ${photo.widthPx} ${photo.heightPx}`" aria-hidden="true">
          <g v-for="group in outlines" :key="group.color">
            <path :d="group.path" class="dark" />
            <path :d="group.path" class="line" :stroke="group.color" />
          </g>
          <g v-for="(line, index) in touched" :key="`work ${index}`">
            <polyline :points="line" class="dark" />
            <polyline :points="line" class="line work" />
          </g>
        </svg>
        <button
          v-for="(pin, index) in pins"
          :key="pin.id"
          class="pin"
          :class="{ chosen: pin.id === chosenPin }"
          :style="{ left: `${pinPlace(pin.at)[0] * scale}px`, top: `${pinPlace(pin.at)[1] * scale}px` }"
          :aria-label="`Fault ${index + 1}: ${pin.label}`"
          :title="pin.label"
          @click.stop="emit('pin', pin.id)"
        >
          <span class="leader"></span><span class="number">{{ index + 1 }}</span>
        </button>
      </div>
    </div>
  </div>
</template>

<style scoped>
.box {
  display: grid;
  place-items: center;
  width: 100%;
  height: 100%;
  min-height: 0;
  overflow: hidden;
}

.frame {
  position: relative;
  overflow: hidden;
}

.whole {
  position: absolute;
}

.placing {
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

.line,
.dark {
  fill: none;
  vector-effect: non-scaling-stroke;
  stroke-width: 1.4px;
}

.work {
  stroke: var(--photo-line);
  stroke-dasharray: 6 4;
}

.dark {
  stroke: var(--photo-edge);
  stroke-width: 2.6px;
}

/* A ring with the fault's number beside the place, a short line leading to it, as on a drawing. */
.pin {
  position: absolute;
  width: 34px;
  height: 34px;
  transform: translateY(-100%);
  padding: 0;
  border: 0;
  background: none;
  cursor: pointer;
}

.pin .leader {
  position: absolute;
  bottom: 5px;
  left: -1px;
  width: 12px;
  height: 2px;
  transform: rotate(-45deg);
  background: var(--photo-line);
  box-shadow: 0 0 0 1px var(--photo-edge);
}

.pin .number {
  position: absolute;
  top: 0;
  right: 0;
  display: grid;
  place-items: center;
  width: 26px;
  height: 26px;
  border: 2px solid var(--photo-line);
  border-radius: 50%;
  background: var(--photo-sign);
  color: var(--photo-line);
  font-size: var(--type-note);
  font-weight: var(--weight-strong);
  line-height: 1;
  box-shadow: 0 0 0 1px var(--photo-edge);
}

.pin.chosen .number {
  background: var(--photo-edge);
}
</style>
