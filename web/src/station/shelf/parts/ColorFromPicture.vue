<script setup lang="ts">
import type { Point, SwatchColor } from '@icy-ribbon/core/picture';
import { useStorage } from '@vueuse/core';
import { Button } from 'ant-design-vue';
import { computed, ref, shallowRef } from 'vue';
import ColorDot from '#drawing/ColorDot.vue';
import { cornerStep } from '#drawing/corners.ts';
import NumberField from '#field/NumberField.vue';
import TakePicture from '#field/picture/TakePicture.vue';
import { usePicture } from '#field/picture/usePicture.ts';
import { photoWorker } from '#worker/workers.ts';
import { plain } from '#worker/plain.ts';

/** The color of a swatch, a dried dot or a paint that is no longer sold, beside a gray card on a picture. */
const emit = defineEmits<{ found: [hex: string] }>();

/** The usual gray card sends back 18 % of the light. */
const USUAL_CARD = 50;
const cardLightness = useStorage<number | null>('icy-ribbon.gray-card', USUAL_CARD);
const card = ref<Point[]>([]);
const at = ref<Point | null>(null);
const isSecond = ref(false);
const found = shallowRef<SwatchColor | null>(null);

const picture = usePicture(async (given) => {
  found.value = null;
  if (!at.value || card.value.length === 0) return;
  const input = { card: card.value, at: at.value, cardLightness: cardLightness.value ?? USUAL_CARD };
  found.value = await photoWorker().swatch(given, plain(input));
  emit('found', found.value.hex);
});
const { busy, trouble, file, src, size, readAgain } = picture;

function choose(given: File): void {
  again();
  void picture.take(given);
}

/** What the next click is for. */
const wanted = computed(() => {
  if (card.value.length === 0) return 'Click the gray card, well inside it.';
  if (isSecond.value) return 'Click the card on the other side of the color.';
  return at.value ? 'Click another place for its color.' : 'Now click the color.';
});

function clicked(event: MouseEvent): void {
  const frame = (event.currentTarget as HTMLElement).getBoundingClientRect();
  place([
    ((event.clientX - frame.left) / frame.width) * size.value.widthPx,
    ((event.clientY - frame.top) / frame.height) * size.value.heightPx,
  ]);
}

/** Where the keys are; the middle to begin with. */
const cursor = ref<Point>([0.5, 0.5]);
function keyed(event: KeyboardEvent): void {
  const [x, y] = cursor.value;
  const step = cornerStep(event.key, event.shiftKey);
  if (step) {
    const within = (value: number) => Math.min(1, Math.max(0, value));
    cursor.value = [within(x + 0.01 * step[0]), within(y + 0.01 * step[1])];
  } else if (event.key === 'Enter' || event.key === ' ') {
    place([x * size.value.widthPx, y * size.value.heightPx]);
  } else return;
  event.preventDefault();
}

function place(point: Point): void {
  if (card.value.length === 0) card.value = [point];
  else if (isSecond.value) {
    card.value = [card.value[0]!, point];
    isSecond.value = false;
  } else at.value = point;
  void readAgain();
}

function again(): void {
  card.value = [];
  at.value = null;
  isSecond.value = false;
  found.value = null;
}
</script>

<template>
  <section class="from-picture stacked" aria-label="A color from a picture">
    <div class="row flowing">
      <TakePicture label="From a picture with a gray card" :busy="busy" @taken="choose" />
    </div>
    <template v-if="file">
      <p role="status">{{ wanted }}</p>
      <div
        class="frame"
        role="application"
        tabindex="0"
        :aria-label="`The picture. ${wanted} Arrow keys move the mark, Enter sets it.`"
        @click="clicked"
        @keydown="keyed"
      >
        <img :src="src" alt="The picture with the color" draggable="false" />
        <svg :viewBox="`0 0 ${size.widthPx} ${size.heightPx}`" preserveAspectRatio="none" aria-hidden="true">
          <g v-for="line in ['edge', 'line']" :key="line" :class="line">
            <circle
              v-for="(point, index) in card"
              :key="index"
              :cx="point[0]"
              :cy="point[1]"
              :r="Math.max(size.widthPx, size.heightPx) / 70"
            />
            <circle
              v-if="at"
              class="at"
              :cx="at[0]"
              :cy="at[1]"
              :r="Math.max(size.widthPx, size.heightPx) / 110"
            />
            <path
              class="cursor"
              :d="`M ${cursor[0] * size.widthPx} ${cursor[1] * size.heightPx} m -14 0 h 28 m -14 -14 v 28`"
            />
          </g>
        </svg>
      </div>
      <div class="row flowing">
        <Button v-if="card.length === 1 && at && !isSecond" @click="isSecond = true">
          The card on the other side, too
        </Button>
        <Button v-if="card.length > 0" type="text" @click="again">Begin anew</Button>
      </div>
      <p v-if="trouble" role="alert" class="look">{{ trouble }}</p>
      <NumberField
        :model-value="cardLightness"
        label="Lightness L* of the card (50: the usual gray)"
        unit=""
        :digits="0"
        @update:model-value="
          cardLightness = $event;
          readAgain();
        "
      />
      <p v-if="found" class="answer abreast centered">
        <ColorDot :color="found.hex" :size-px="28" inline /> <span class="numeral">{{ found.hex }}</span>
        <span class="soft"
          >nine in ten within dE2000 {{ found.withinDe.toFixed(1) }} of the paint itself</span
        >
      </p>
      <p v-for="warning in found?.warnings ?? []" :key="warning.code" class="look">{{ warning.message }}</p>
    </template>
    <p v-else class="soft">
      Lay a gray card beside the swatch or the dried dot, both in the same even daylight, and take them from
      above.
    </p>
  </section>
</template>

<style scoped>
.frame {
  position: relative;
  justify-self: start;
  cursor: crosshair;
}

img {
  display: block;
  max-width: 100%;
  max-height: 380px;
}

svg {
  position: absolute;
  inset: 0;
  width: 100%;
  height: 100%;
  pointer-events: none;
}

.edge,
.line {
  fill: none;
  stroke: var(--photo-edge);
  stroke-width: 4px;
}

.line {
  stroke: var(--photo-line);
  stroke-width: 2px;
}

.edge *,
.line * {
  vector-effect: non-scaling-stroke;
}

.line .at {
  stroke: var(--photo-held);
}

.cursor {
  visibility: hidden;
}

.frame:focus-visible .cursor {
  visibility: visible;
}
</style>
