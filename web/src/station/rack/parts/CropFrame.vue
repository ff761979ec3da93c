<script setup lang="ts">
import type { Part } from '@icy-ribbon/core/picture/crop';
import { ref } from 'vue';

/** A part of the face as a frame that is dragged, resized at its corner, and moved by keys. */
const props = defineProps<{ part: Part }>();
const emit = defineEmits<{ move: [part: Part] }>();

const held = ref<{ how: 'move' | 'size'; x: number; y: number; part: Part } | null>(null);

function begin(how: 'move' | 'size', event: PointerEvent): void {
  (event.currentTarget as Element).setPointerCapture(event.pointerId);
  held.value = { how, x: event.clientX, y: event.clientY, part: props.part };
}

function drag(event: PointerEvent): void {
  if (!held.value) return;
  const face = (event.currentTarget as HTMLElement).closest('.over')!.getBoundingClientRect();
  const { how, x, y, part } = held.value;
  const right = (event.clientX - x) / face.width;
  const down = (event.clientY - y) / face.height;
  if (how === 'move') emit('move', { ...part, x: part.x + right, y: part.y + down });
  else {
    const scale = Math.max(0.15, 1 + Math.max(right / part.width, down / part.height));
    const fits = Math.min(scale, (1 - part.x) / part.width, (1 - part.y) / part.height);
    emit('move', { ...part, width: part.width * fits, height: part.height * fits });
  }
}

const STEP = 0.01;
const STEPS: Readonly<Record<string, readonly [number, number]>> = {
  ArrowLeft: [-STEP, 0],
  ArrowRight: [STEP, 0],
  ArrowUp: [0, -STEP],
  ArrowDown: [0, STEP],
};
const GROWS: Readonly<Record<string, number>> = { '+': 1.05, '=': 1.05, '-': 1 / 1.05 };
function nudge(event: KeyboardEvent): void {
  const grows = GROWS[event.key];
  if (grows) {
    const { part } = props;
    const fits = Math.min(grows, (1 - part.x) / part.width, (1 - part.y) / part.height);
    emit('move', { ...part, width: part.width * fits, height: part.height * fits });
  }
  const step = STEPS[event.key];
  if (!step) return;
  event.preventDefault();
  emit('move', { ...props.part, x: props.part.x + step[0], y: props.part.y + step[1] });
}
</script>

<template>
  <div class="over">
    <div
      class="frame"
      tabindex="0"
      role="group"
      aria-label="The part: arrow keys move it, plus and minus resize it"
      :style="{
        left: `${100 * part.x}%`,
        top: `${100 * part.y}%`,
        width: `${100 * part.width}%`,
        height: `${100 * part.height}%`,
      }"
      @pointerdown="begin('move', $event)"
      @pointermove="drag"
      @pointerup="held = null"
      @keydown="nudge"
    >
      <span
        class="corner"
        aria-hidden="true"
        @pointerdown.stop="begin('size', $event)"
        @pointermove.stop="drag"
        @pointerup.stop="held = null"
      ></span>
    </div>
  </div>
</template>

<style scoped>
.over {
  position: absolute;
  inset: 0;
  overflow: hidden;
}

.frame {
  position: absolute;
  cursor: move;
  touch-action: none;
  outline: 2000px solid var(--mask);
  border: 2px solid var(--bench);
  box-shadow: inset 0 0 0 1px var(--ink);
}

.frame:focus-visible {
  border-color: var(--water);
}

.corner {
  position: absolute;
  right: -4px;
  bottom: -4px;
  width: 24px;
  height: 24px;
  cursor: nwse-resize;
  background: var(--bench);
  border: 2px solid var(--ink);
}
</style>
