<script setup lang="ts">
import type { Piece } from '@icy-ribbon/contract';
import { speakingPhoto } from '@icy-ribbon/core/judgement/outcome';
import type { Corners } from '@icy-ribbon/core/picture';
import { computed, ref } from 'vue';
import { useElementSize } from '@vueuse/core';
import { straightenTransform } from '#drawing/photoOverlay.ts';
import { dateWords } from '#words/general.ts';
import PourMark from './PourMark.vue';

/** The pictures of some pours, laid straight and moved and zoomed together. */
const props = defineProps<{ pieces: readonly Piece[] }>();

const GAP_PX = 24;
const MOST_PX = 440;
const frame = ref<HTMLElement | null>(null);
const { width: room } = useElementSize(frame);
/** The pictures fill the width together. */
const size = computed(() => {
  const count = Math.max(2, props.pieces.length);
  return Math.max(160, Math.min(MOST_PX, (room.value - (count - 1) * GAP_PX) / count));
});
const MOST_ZOOM = 12;
const STEP = 1.3;

const zoom = ref(1);
/** The middle of what is shown, as shares of the face. */
const center = ref({ x: 0.5, y: 0.5 });
const photoOf = (piece: Piece) => speakingPhoto(piece.photos);

/** The face straight from above, filling the square; without corners the whole photo. */
function lay(piece: Piece): Record<string, string> {
  const photo = photoOf(piece);
  if (!photo) return {};
  const { widthMm, heightMm } = piece.support;
  const scale = (size.value / Math.max(widthMm, heightMm)) * zoom.value;
  const [width, height] = [widthMm * scale, heightMm * scale];
  const left = size.value / 2 - center.value.x * width;
  const top = size.value / 2 - center.value.y * height;
  const corners = photo.measurement?.corners;
  const whole: Corners = [
    [0, 0],
    [photo.widthPx, 0],
    [photo.widthPx, photo.heightPx],
    [0, photo.heightPx],
  ];
  return {
    width: `${photo.widthPx}px`,
    height: `${photo.heightPx}px`,
    transform: `translate(${left}px, ${top}px) ${straightenTransform(corners ?? whole, width, height)}`,
  };
}

function zoomBy(factor: number): void {
  zoom.value = Math.min(MOST_ZOOM, Math.max(1, zoom.value * factor));
}

function fitAll(): void {
  zoom.value = 1;
  center.value = { x: 0.5, y: 0.5 };
}
defineExpose({ zoomBy, fitAll });

let last: { x: number; y: number } | null = null;
function press(event: PointerEvent): void {
  last = { x: event.clientX, y: event.clientY };
  (event.currentTarget as Element).setPointerCapture(event.pointerId);
}
function drag(event: PointerEvent): void {
  if (!last) return;
  move(
    (last.x - event.clientX) / size.value / zoom.value,
    (last.y - event.clientY) / size.value / zoom.value,
  );
  last = { x: event.clientX, y: event.clientY };
}
function move(dx: number, dy: number): void {
  const clamp = (value: number) => Math.min(1, Math.max(0, value));
  center.value = { x: clamp(center.value.x + dx), y: clamp(center.value.y + dy) };
}
function keyed(event: KeyboardEvent): void {
  const step = 0.1 / zoom.value;
  const steps: Record<string, () => void> = {
    ArrowLeft: () => move(-step, 0),
    ArrowRight: () => move(step, 0),
    ArrowUp: () => move(0, -step),
    ArrowDown: () => move(0, step),
    '+': () => zoomBy(STEP),
    '-': () => zoomBy(1 / STEP),
  };
  const done = steps[event.key];
  if (!done) return;
  event.preventDefault();
  done();
}
</script>

<template>
  <div ref="frame" class="pictures abreast gap-24">
    <figure v-for="(piece, index) in pieces" :key="piece.id">
      <div
        class="window"
        :style="{ width: `${size}px`, height: `${size}px` }"
        tabindex="0"
        role="img"
        :aria-label="`${piece.name}; arrow keys move all pictures, plus and minus zoom them`"
        @wheel.prevent="zoomBy(Math.exp(-$event.deltaY / 400))"
        @pointerdown="press"
        @pointermove="drag"
        @pointerup="last = null"
        @keydown="keyed"
      >
        <img
          v-if="photoOf(piece)"
          :src="`/api/photos/${photoOf(piece)!.id}/image`"
          alt=""
          draggable="false"
          :style="lay(piece)"
        />
        <span v-else class="soft">no photo</span>
      </div>
      <figcaption>
        <PourMark :index="index" />
        <RouterLink :to="`/results/${piece.id}`">{{ piece.name }}</RouterLink>
        <span class="soft">{{ dateWords(piece.createdAt) }}</span>
      </figcaption>
    </figure>
  </div>
</template>

<style scoped>
.pictures {
  margin: 12px 0;
}

.window {
  position: relative;
  overflow: hidden;
  background: var(--ice);
  cursor: grab;
  touch-action: none;
}

.window img {
  position: absolute;
  top: 0;
  left: 0;
  max-width: none;
  transform-origin: 0 0;
}

figcaption {
  display: flex;
  align-items: center;
  gap: 6px;
  font-size: var(--type-text);
}
</style>
