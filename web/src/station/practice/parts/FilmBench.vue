<script setup lang="ts">
import type { Scene } from '@icy-ribbon/core/piece/rehearse';
import { bearingOf } from '@icy-ribbon/core/flow/air';
import type { Place } from '@icy-ribbon/core/piece/plan';
import { middleNear } from '@icy-ribbon/core/judgement/rehearsal';
import { useElementSize, useRafFn } from '@vueuse/core';
import { computed, ref } from 'vue';
import type { Film } from './useFilm.ts';
import { useFilmPicture } from './useFilmPicture.ts';
import { SCRAPER_MM, type Hand } from './useHand.ts';

/** The support from above, as large as there is room: paint that is blown by pointer, finger or keys. */
const props = defineProps<{
  scene: Scene;
  film: Film;
  hand: Hand;
  /** It is looked at only: the pointer does nothing. */
  looks?: boolean;
}>();
const emit = defineEmits<{ lay: [at: Place] }>();

const room = ref<HTMLElement | null>(null);
const canvas = ref<HTMLCanvasElement | null>(null);
const { width: roomWidth, height: roomHeight } = useElementSize(room);
const { cutAtMm } = props.film;
const cutAt = (mm: number) => (cutAtMm.value = mm);

/** Pixels a millimeter on the screen. */
const scale = computed(() => {
  const { widthMm, heightMm } = props.scene.support;
  return Math.max(0.1, Math.min(roomWidth.value / widthMm, roomHeight.value / heightMm));
});
const size = computed(() => ({
  width: Math.floor(props.scene.support.widthMm * scale.value),
  height: Math.floor(props.scene.support.heightMm * scale.value),
}));
const { canvasKey } = useFilmPicture(canvas, size, () => props.scene, props.film);
useRafFn(() => props.hand.tick());

const placeOf = (event: PointerEvent): Place => {
  const box = canvas.value!.getBoundingClientRect();
  return { x: (event.clientX - box.left) / scale.value, y: (event.clientY - box.top) / scale.value };
};

/** Outward from the middle of the flower that it stands at, until the hand is drawn on. */
const outward = (at: Place): number => {
  const middle = middleNear(props.scene, at);
  return bearingOf(at.x - middle.x, at.y - middle.y);
};

const fingers = new Map<number, Place>();
let apart = 0;

function press(event: PointerEvent): void {
  if (event.button !== 0 || props.looks) return;
  (event.currentTarget as HTMLElement).setPointerCapture(event.pointerId);
  fingers.set(event.pointerId, placeOf(event));
  if (fingers.size === 2) {
    apart = spread();
    return;
  }
  if (props.hand.hand.value === 'lay') emit('lay', placeOf(event));
  else props.hand.down(placeOf(event), outward(placeOf(event)));
}

function move(event: PointerEvent): void {
  const at = placeOf(event);
  cutAt(at.y);
  if (fingers.has(event.pointerId)) fingers.set(event.pointerId, at);
  if (fingers.size === 2) {
    // Two fingers apart: farther off.
    const now = spread();
    props.hand.changeDistance(Math.round(now - apart));
    apart = now;
    return;
  }
  props.hand.drawTo(at);
}

function release(event: PointerEvent): void {
  fingers.delete(event.pointerId);
  if (fingers.size === 0) props.hand.up();
}

function spread(): number {
  const [a, b] = [...fingers.values()];
  return a && b ? Math.hypot(a.x - b.x, a.y - b.y) : 0;
}

const WHEEL_MM = 10;
const wheel = (event: WheelEvent) =>
  props.looks || props.hand.changeDistance(event.deltaY > 0 ? WHEEL_MM : -WHEEL_MM);

/** Where the tool acts, in pixels: of the hand, or of the pass that is being played. */
const shown = computed(() => {
  const { hand, hold, aim, footprint } = props.hand;
  const air = props.film.moment.value && props.film.currentPush().air;
  const playing = props.film.task.value?.kind === 'passes' && air;
  const at = playing ? { x: air.xMm, y: air.yMm } : aim.value;
  const toward = playing ? air.directionDeg : hold.directionDeg;
  const half = playing ? Math.max(0.1 * air.distanceMm, air.exitDiameterMm / 2) : footprint.value.halfMm;
  const slant = playing ? air.slantDeg : hold.slantDeg;
  const isAir = playing || hand.value === 'blow';
  const small = hand.value === 'skewer' ? 2 : SCRAPER_MM;
  return {
    x: at.x * scale.value,
    y: at.y * scale.value,
    toward,
    wide: (isAir ? half : small) * scale.value,
    long: (isAir ? half / Math.sin((Math.max(15, slant) * Math.PI) / 180) : small) * scale.value,
    isAir,
    isOn: Boolean(playing) || props.hand.isDown.value,
  };
});
</script>

<template>
  <div ref="room" class="room">
    <div
      class="face"
      tabindex="0"
      role="application"
      :aria-label="
        looks
          ? 'The support from above'
          : 'The support from above. Arrow keys move the air, Space blows while it is held.'
      "
      :style="{ width: `${size.width}px`, height: `${size.height}px` }"
      @pointerdown="press"
      @pointermove="move"
      @pointerup="release"
      @pointercancel="release"
      @wheel.prevent="wheel"
      @contextmenu.prevent
    >
      <canvas
        ref="canvas"
        :key="canvasKey"
        :class="{ round: scene.support.shape === 'round' }"
        :style="{ width: `${size.width}px`, height: `${size.height}px` }"
      ></canvas>
      <svg v-if="!looks || shown.isOn" :width="size.width" :height="size.height" aria-hidden="true">
        <g
          :transform="`translate(${shown.x} ${shown.y}) rotate(${shown.toward})`"
          :class="{ on: shown.isOn }"
        >
          <ellipse class="halo" :rx="shown.wide" :ry="shown.long" />
          <ellipse :rx="shown.wide" :ry="shown.long" />
          <path v-if="shown.isAir" class="halo" :d="`M0 ${-shown.long} v-14 m-5 5 l5 -6 l5 6`" />
          <path v-if="shown.isAir" :d="`M0 ${-shown.long} v-14 m-5 5 l5 -6 l5 6`" />
        </g>
      </svg>
    </div>
  </div>
</template>

<style scoped>
.room {
  display: grid;
  place-items: center;
  min-width: 0;
  min-height: 0;
  overflow: hidden;
  background: var(--ice);
}

.face {
  position: relative;
  touch-action: none;
  cursor: crosshair;
}

canvas,
svg {
  display: block;
}

canvas.round {
  border-radius: 50%;
}

svg {
  position: absolute;
  inset: 0;
  overflow: visible;
  pointer-events: none;
}

ellipse,
path {
  fill: none;
  stroke: var(--photo-line);
  stroke-width: 1.5;
}

.halo {
  stroke: var(--photo-edge);
  stroke-width: 4;
}

.on ellipse:not(.halo) {
  stroke-width: 3;
}
</style>
