<script setup lang="ts">
import type { Photo } from '@icy-ribbon/contract';
import { MEASURE_STEPS, type MeasureStep } from '@icy-ribbon/core/picture';
import { useElementSize } from '@vueuse/core';
import { Button, Progress, Select } from 'ant-design-vue';
import { proxy } from 'comlink';
import { computed, onBeforeUnmount, onMounted, ref } from 'vue';
import { say, sayProblem } from '../../../notice/notices.ts';
import { usePiece } from '../../../store/piece.ts';
import { photoWorker, stopPhotoWorker } from '../../../worker/photo.ts';
import { cardAt, cardMiddle, inputOf, kept, setupOf, withColor, withoutColor } from './photoInput.ts';

/** Readying a photo for measuring: its corners and its colors; then the measuring itself, away from the page. */
const props = defineProps<{ photo: Photo }>();
const emit = defineEmits<{ done: [] }>();

const STEP_WORDS: Record<MeasureStep, string> = {
  rectify: 'looking from straight above',
  light: 'taking the light out',
  colors: 'finding the colors',
  edges: 'sharing out the edges',
  cells: 'counting cells',
  lacing: 'following the lacing',
};
const CORNER_NAMES = ['top left', 'top right', 'bottom right', 'bottom left'];
const LENS = 132;
const LENS_ZOOM = 5;

const store = usePiece();
const setup = ref(setupOf(props.photo, store.paints, new Set(store.layers.map((layer) => layer.data.mixId))));
const busy = ref(false);
const step = ref<MeasureStep | 'load' | null>(null);
const unsure = ref(false);
const chosen = ref(0);
const dragging = ref<number | null>(null);
/** The color that the next click in the photo corrects, or the gray card that it shows. */
const picking = ref<number | 'card' | null>(null);
const box = ref<HTMLElement | null>(null);
const image = ref<HTMLImageElement | null>(null);
const lens = ref<HTMLCanvasElement | null>(null);
const { width, height } = useElementSize(box);
const scale = computed(() =>
  Math.min(width.value / props.photo.widthPx || 1, height.value / props.photo.heightPx || 1),
);
const url = computed(() => `/api/photos/${props.photo.id}/image`);
const quad = computed(() => setup.value.corners.map((corner) => corner.join(',')).join(' '));
const card = computed(() => {
  const { corners, grayPatchMm } = setup.value;
  if (!store.piece || corners.length < 4 || !grayPatchMm) return null;
  return cardMiddle(corners, store.piece.support, grayPatchMm);
});
const roles = computed(() => setup.value.palette.map(({ name }) => ({ value: name, label: name })));

onMounted(() => {
  if (setup.value.corners.length === 0) void findThem();
});
onBeforeUnmount(() => {
  if (busy.value) stopPhotoWorker();
});

async function findThem(): Promise<void> {
  step.value = 'load';
  try {
    const { corners, isSure } = await photoWorker().findCorners(
      url.value,
      store.piece?.support.shape ?? 'rectangle',
    );
    setup.value.corners = corners.map(([x, y]) => [x, y]);
    unsure.value = !isSure;
    magnify();
  } catch (error) {
    sayProblem(error);
  } finally {
    step.value = null;
  }
}

async function measure(): Promise<void> {
  if (!store.piece || busy.value) return;
  busy.value = true;
  step.value = 'load';
  try {
    const input = inputOf(setup.value, store.piece.support);
    const report = await photoWorker().measure(
      url.value,
      input,
      proxy((next: MeasureStep) => (step.value = next)),
    );
    const { measurement, detail } = kept(setup.value, report, new Date().toISOString());
    await store.keepMeasurement(props.photo, measurement, detail);
    // The numbers are drawn in one frame and the photo in another, so that neither holds the page up.
    await new Promise((drawn) => requestAnimationFrame(() => setTimeout(drawn)));
    say(`Measured in ${(report.milliseconds / 1000).toFixed(1)} s.`);
    emit('done');
  } catch (error) {
    sayProblem(error);
  } finally {
    busy.value = false;
    step.value = null;
  }
}

function cancel(): void {
  if (busy.value) {
    stopPhotoWorker();
    busy.value = false;
    step.value = null;
    say('Measuring was stopped; nothing was changed.');
    return;
  }
  emit('done');
}

const share = computed(() =>
  step.value === null || step.value === 'load' ? 0.02 : Math.max(0.05, MEASURE_STEPS[step.value]),
);

function placeOf(event: PointerEvent | MouseEvent): [number, number] {
  const frame = image.value!.getBoundingClientRect();
  const clamp = (value: number, most: number) => Math.min(most, Math.max(0, value));
  return [
    clamp((event.clientX - frame.left) / scale.value, props.photo.widthPx),
    clamp((event.clientY - frame.top) / scale.value, props.photo.heightPx),
  ];
}

function grab(index: number, event: PointerEvent): void {
  chosen.value = index;
  dragging.value = index;
  (event.currentTarget as Element).setPointerCapture(event.pointerId);
  magnify();
}

function drag(event: PointerEvent): void {
  if (dragging.value === null) return;
  setup.value.corners[dragging.value] = placeOf(event);
  magnify();
}

const STEPS: Readonly<Record<string, readonly [number, number]>> = {
  ArrowLeft: [-1, 0],
  ArrowRight: [1, 0],
  ArrowUp: [0, -1],
  ArrowDown: [0, 1],
};

function nudge(index: number, event: KeyboardEvent): void {
  const move = STEPS[event.key];
  const corner = setup.value.corners[index];
  if (!move || !corner) return;
  event.preventDefault();
  event.stopPropagation();
  const far = event.shiftKey ? 10 : 1;
  setup.value.corners[index] = [corner[0] + far * move[0], corner[1] + far * move[1]];
  chosen.value = index;
  magnify();
}

function addColor(): void {
  setup.value = withColor(setup.value);
  picking.value = setup.value.palette.length - 1;
}

function removeColor(name: string): void {
  setup.value = withoutColor(setup.value, name);
  picking.value = null;
}

/** The magnifier: what lies under the corner, five times as large, with cross hairs. */
function magnify(): void {
  const context = lens.value?.getContext('2d');
  const corner = setup.value.corners[chosen.value];
  if (!context || !corner || !image.value) return;
  const reach = LENS / (2 * LENS_ZOOM);
  context.imageSmoothingEnabled = false;
  context.fillStyle = '#0b1a24';
  context.fillRect(0, 0, LENS, LENS);
  context.drawImage(
    image.value,
    corner[0] - reach,
    corner[1] - reach,
    2 * reach,
    2 * reach,
    0,
    0,
    LENS,
    LENS,
  );
  context.strokeStyle = '#ff9d2e';
  context.beginPath();
  context.moveTo(LENS / 2, 0);
  context.lineTo(LENS / 2, LENS);
  context.moveTo(0, LENS / 2);
  context.lineTo(LENS, LENS / 2);
  context.stroke();
}

/** Takes a color from the photo for the one that is being corrected: the mean of a few pixels. */
function pick(event: MouseEvent): void {
  if (picking.value === null || !image.value) return;
  const [x, y] = placeOf(event);
  if (picking.value === 'card') {
    if (store.piece) setup.value.grayPatchMm = cardAt(setup.value.corners, store.piece.support, [x, y]);
    picking.value = null;
    return;
  }
  const canvas = document.createElement('canvas');
  canvas.width = 5;
  canvas.height = 5;
  const context = canvas.getContext('2d')!;
  context.drawImage(image.value, Math.round(x) - 2, Math.round(y) - 2, 5, 5, 0, 0, 5, 5);
  const { data } = context.getImageData(0, 0, 5, 5);
  const mean = [0, 1, 2].map((channel) => {
    let sum = 0;
    for (let at = channel; at < data.length; at += 4) sum += data[at]!;
    return Math.round(sum / 25);
  });
  const hex = `#${mean.map((value) => value.toString(16).padStart(2, '0')).join('')}`;
  const at = picking.value;
  setup.value.palette = setup.value.palette.map((color, index) => (index === at ? { ...color, hex } : color));
  picking.value = null;
}
</script>

<template>
  <section class="measure" aria-label="Measure the photo">
    <div ref="box" class="box">
      <div
        class="frame"
        :class="{ picking: picking !== null }"
        :style="{ width: `${photo.widthPx * scale}px`, height: `${photo.heightPx * scale}px` }"
        @click="pick"
      >
        <img ref="image" :src="url" alt="The photo to be measured" draggable="false" @load="magnify" />
        <svg v-if="setup.corners.length === 4" :viewBox="`0 0 ${photo.widthPx} ${photo.heightPx}`">
          <polygon :points="quad" class="halo" />
          <polygon :points="quad" class="quad" />
          <g v-if="card" class="card">
            <circle :cx="card[0]" :cy="card[1]" :r="9 / scale" class="halo" />
            <circle :cx="card[0]" :cy="card[1]" :r="9 / scale" class="quad" />
          </g>
        </svg>
        <button
          v-for="(corner, index) in setup.corners"
          :key="index"
          class="corner"
          :class="{ chosen: index === chosen }"
          :style="{ left: `${corner[0] * scale}px`, top: `${corner[1] * scale}px` }"
          :aria-label="`Corner ${CORNER_NAMES[index]}, ${Math.round(corner[0])} and ${Math.round(corner[1])} pixels; arrow keys move it`"
          @pointerdown="grab(index, $event)"
          @pointermove="drag"
          @pointerup="dragging = null"
          @keydown="nudge(index, $event)"
          @focus="((chosen = index), magnify())"
          @click.stop
        ></button>
      </div>
    </div>
    <aside class="panel">
      <h2>Measure it</h2>
      <p v-if="unsure" role="alert">
        The support could not be told from the table. Pull the four corners onto it.
      </p>
      <p v-else class="soft">
        Are the corners on the support? Pull them, or move them with the arrow keys (Shift: ten pixels).
      </p>
      <div class="lens">
        <canvas ref="lens" :width="LENS" :height="LENS" aria-hidden="true"></canvas>
        <p class="soft">{{ CORNER_NAMES[chosen] }} corner, five times as large</p>
      </div>
      <h3>Colors to look for</h3>
      <ul>
        <li v-for="(color, index) in setup.palette" :key="color.name">
          <span class="dot" :style="{ background: color.hex }"></span>
          <span>{{ color.name }}</span>
          <Button
            size="small"
            :type="picking === index ? 'primary' : 'default'"
            :aria-pressed="picking === index"
            @click="picking = picking === index ? null : index"
          >
            {{ picking === index ? 'Click it in the photo' : 'Correct' }}
          </Button>
          <Button
            size="small"
            type="text"
            :aria-label="`Do not look for ${color.name}`"
            @click="removeColor(color.name)"
          >
            ×
          </Button>
        </li>
      </ul>
      <p v-if="setup.palette.length < 2" class="soft">
        No cups tell what to look for: add each color and click it in the photo, the base first.
      </p>
      <Button size="small" class="add" @click="addColor">Add a color</Button>
      <div class="gray">
        <span
          >Gray card <span class="soft">{{ setup.grayPatchMm ? 'shown by the ring' : 'none' }}</span></span
        >
        <Button
          size="small"
          :type="picking === 'card' ? 'primary' : 'default'"
          :aria-pressed="picking === 'card'"
          :disabled="setup.corners.length < 4"
          @click="picking = picking === 'card' ? null : 'card'"
        >
          {{ picking === 'card' ? 'Click it in the photo' : 'Show it' }}
        </Button>
        <Button v-if="setup.grayPatchMm" size="small" @click="setup.grayPatchMm = null">No card</Button>
      </div>
      <label class="role">
        Base
        <Select v-model:value="setup.base" :options="roles" size="small" aria-label="Base" />
      </label>
      <label class="role">
        Activator
        <Select
          :value="setup.activator ?? undefined"
          :options="roles"
          size="small"
          allow-clear
          placeholder="none"
          aria-label="Activator"
          @update:value="setup.activator = ($event as string | undefined) ?? null"
        />
      </label>
      <div v-if="busy" role="status">
        <Progress :percent="Math.round(100 * share)" :show-info="false" size="small" />
        <p class="soft">{{ step === 'load' || step === null ? 'reading the photo' : STEP_WORDS[step] }}</p>
      </div>
      <div class="row">
        <Button
          type="primary"
          size="large"
          :loading="busy"
          :disabled="setup.corners.length < 4 || setup.palette.length < 2"
          @click="measure"
        >
          Measure
        </Button>
        <Button size="large" @click="cancel">{{ busy ? 'Stop' : 'Not now' }}</Button>
      </div>
    </aside>
  </section>
</template>

<style scoped>
.measure {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 270px;
  min-height: 0;
}

.box {
  display: grid;
  place-items: center;
  min-height: 0;
  margin: 14px;
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
  stroke: #ff9d2e;
  stroke-width: 1.5px;
  vector-effect: non-scaling-stroke;
}

.halo {
  stroke: #0b1a24;
  stroke-width: 3.5px;
}

.corner {
  position: absolute;
  width: 30px;
  height: 30px;
  margin: -15px 0 0 -15px;
  padding: 0;
  border: 2px solid #ffffff;
  border-radius: 50%;
  background: rgb(11 26 36 / 25%);
  cursor: move;
  touch-action: none;
}

.corner.chosen {
  border-color: #ff9d2e;
}

.panel {
  display: grid;
  gap: 8px;
  align-content: start;
  padding: 14px 16px 14px 0;
  overflow: auto;
  font-size: 14px;
}

.lens {
  display: flex;
  align-items: center;
  gap: 10px;
}

.lens canvas {
  flex: none;
  border: 1px solid var(--rule);
}

h3 {
  margin: 4px 0 0;
  font-size: 15px;
}

ul {
  display: grid;
  gap: 4px;
  margin: 0;
  padding: 0;
  list-style: none;
}

li,
.role {
  display: grid;
  grid-template-columns: 18px minmax(0, 1fr) auto auto;
  align-items: center;
  gap: 8px;
}

.role {
  grid-template-columns: 80px minmax(0, 1fr);
}

.dot {
  width: 16px;
  height: 16px;
  border: 1px solid var(--ink-soft);
  border-radius: 50%;
}

.row,
.gray {
  display: flex;
  gap: 8px;
}

.add {
  justify-self: start;
}

.gray > span {
  flex: 1;
}

@media (width < 1000px) {
  .measure {
    grid-template-columns: 1fr;
  }
}
</style>
