<script setup lang="ts">
import { api, type Piece } from '@icy-ribbon/contract';
import { differing, type DifferingLine } from '@icy-ribbon/core/judgement/compare';
import { pourRecordOf, speakingPhoto } from '@icy-ribbon/core/judgement/outcome';
import type { Corners } from '@icy-ribbon/core/picture';
import { Button } from 'ant-design-vue';
import { computed, ref, shallowRef, watch } from 'vue';
import { useRoute } from 'vue-router';
import { call } from '../../api/client.ts';
import { layBack } from '../../drawing/photoOverlay.ts';
import { sayProblem } from '../../notice/notices.ts';
import { dateWords } from '../../words/general.ts';
import { useUnits } from '../../store/units.ts';
import { quantityWords } from '../../words/quantity.ts';

/** Two to four pours: pictures aligned and moved together, and below only what differs. */
const units = useUnits();
const route = useRoute();
const pieces = shallowRef<readonly Piece[]>([]);
const zoom = ref(1);
/** The middle of what is shown, as shares of the face. */
const center = ref({ x: 0.5, y: 0.5 });
const SIZE = 260;
const MARKS = ['circle', 'diamond', 'square', 'triangle'] as const;
const COLORS = ['#1f6585', '#b58220', '#7d3c63', '#3e7a4f'];

watch(
  () => route.query.ids,
  async (ids) => {
    const wanted = String(ids ?? '')
      .split(',')
      .filter(Boolean)
      .slice(0, 4);
    try {
      pieces.value = await Promise.all(wanted.map((id) => call(api.pieces.get, { params: { id } })));
    } catch (error) {
      sayProblem(error);
    }
  },
  { immediate: true },
);

const GROUPS: { key: DifferingLine['group']; label: string }[] = [
  { key: 'mixes', label: 'Mixes and thickness' },
  { key: 'amounts', label: 'Amounts' },
  { key: 'order', label: 'Order' },
  { key: 'air', label: 'Air and waiting' },
  { key: 'outcome', label: 'Outcome' },
];
const lines = computed(() =>
  pieces.value.length > 1 ? differing(pieces.value.map((piece) => pourRecordOf(piece))) : [],
);
const groups = computed(() =>
  GROUPS.map((group) => ({ ...group, lines: lines.value.filter((line) => line.group === group.key) })).filter(
    (group) => group.lines.length > 0,
  ),
);
const photoOf = (piece: Piece) => speakingPhoto(piece.photos);

/** The face straight from above, filling the square; without corners the whole photo. */
function lay(piece: Piece): Record<string, string> {
  const photo = photoOf(piece);
  if (!photo) return {};
  const { widthMm, heightMm } = piece.support;
  const scale = (SIZE / Math.max(widthMm, heightMm)) * zoom.value;
  const [width, height] = [widthMm * scale, heightMm * scale];
  const left = SIZE / 2 - center.value.x * width;
  const top = SIZE / 2 - center.value.y * height;
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
    transform: `translate(${left}px, ${top}px) ${layBack(corners ?? whole, width, height)}`,
  };
}

function wheel(event: WheelEvent): void {
  zoom.value = Math.min(12, Math.max(1, zoom.value * Math.exp(-event.deltaY / 400)));
}

let last: { x: number; y: number } | null = null;
function press(event: PointerEvent): void {
  last = { x: event.clientX, y: event.clientY };
  (event.currentTarget as Element).setPointerCapture(event.pointerId);
}
function drag(event: PointerEvent): void {
  if (!last) return;
  move((last.x - event.clientX) / SIZE / zoom.value, (last.y - event.clientY) / SIZE / zoom.value);
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
    '+': () => (zoom.value = Math.min(12, zoom.value * 1.3)),
    '-': () => (zoom.value = Math.max(1, zoom.value / 1.3)),
  };
  const done = steps[event.key];
  if (!done) return;
  event.preventDefault();
  done();
}

/** Where a value lies between the least and the most of its line. */
function along(line: DifferingLine, value: number): number {
  const given = line.values!.filter((each) => each !== null);
  const [low, high] = [Math.min(...given), Math.max(...given)];
  const ratio = line.quantity?.isRatio && low > 0;
  const at = (each: number) => (ratio ? Math.log(each) : each);
  return high > low ? (at(value) - at(low)) / (at(high) - at(low)) : 0.5;
}
</script>

<template>
  <main class="compare">
    <header>
      <h1>Compare</h1>
      <RouterLink :to="{ name: 'results' }">Back to the results</RouterLink>
      <span class="spring"></span>
      <Button size="small" @click="zoom = Math.min(12, zoom * 1.5)">Closer</Button>
      <Button size="small" @click="zoom = Math.max(1, zoom / 1.5)">Farther</Button>
      <Button size="small" @click="((zoom = 1), (center = { x: 0.5, y: 0.5 }))">Whole</Button>
    </header>
    <div class="pictures">
      <figure v-for="(piece, index) in pieces" :key="piece.id">
        <div
          class="window"
          tabindex="0"
          role="img"
          :aria-label="`${piece.name}; arrow keys move all pictures, plus and minus zoom them`"
          @wheel.prevent="wheel"
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
          <span class="mark" :class="MARKS[index]" :style="{ background: COLORS[index] }"></span>
          <RouterLink :to="`/results/${piece.id}`">{{ piece.name }}</RouterLink>
          <span class="soft">{{ dateWords(piece.createdAt) }}</span>
        </figcaption>
      </figure>
    </div>
    <p v-if="pieces.length < 2" class="soft">Mark two to four pours at Results to compare them.</p>
    <section v-for="group in groups" :key="group.key" :aria-label="group.label">
      <h2>{{ group.label }}</h2>
      <div v-for="line in group.lines" :key="line.label" class="line">
        <span class="label">{{ line.label }}</span>
        <template v-if="line.values && line.quantity">
          <span class="track" aria-hidden="true">
            <template v-for="(value, index) in line.values" :key="index">
              <span
                v-if="value !== null"
                class="mark on"
                :class="MARKS[index]"
                :style="{ left: `${100 * along(line, value)}%`, background: COLORS[index] }"
              ></span>
            </template>
          </span>
          <span class="values">
            <span v-for="(value, index) in line.values" :key="index">
              <span class="mark" :class="MARKS[index]" :style="{ background: COLORS[index] }"></span>
              {{ value === null ? 'not recorded' : quantityWords(line.quantity, value, units.chosen) }}
            </span>
          </span>
        </template>
        <span v-else class="words">
          <span v-for="(said, index) in line.words" :key="index">
            <span class="mark" :class="MARKS[index]" :style="{ background: COLORS[index] }"></span> {{ said }}
          </span>
        </span>
      </div>
    </section>
  </main>
</template>

<style scoped>
.compare {
  padding: 12px 24px 24px;
}

header {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 8px 14px;
}

.spring {
  flex: 1;
}

.pictures {
  display: flex;
  flex-wrap: wrap;
  gap: 14px;
  margin: 12px 0;
}

figure {
  margin: 0;
}

.window {
  position: relative;
  width: 260px;
  height: 260px;
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
  font-size: 14px;
}

h2 {
  margin: 14px 0 2px;
  font-size: 16px;
}

.line {
  display: grid;
  grid-template-columns: 220px minmax(120px, 300px) minmax(0, 1fr);
  align-items: center;
  gap: 18px;
  min-height: 32px;
  border-top: 1px solid var(--rule);
  font-size: 14px;
}

.words {
  display: grid;
  grid-column: 2 / -1;
  gap: 2px;
  padding: 4px 0;
}

.track {
  position: relative;
  height: 2px;
  margin: 0 8px;
  background: var(--ice-deep);
}

.values {
  display: flex;
  flex-wrap: wrap;
  gap: 2px 18px;
  font-variant-numeric: tabular-nums;
}

.mark {
  display: inline-block;
  width: 12px;
  height: 12px;
  flex: none;
}

.mark.on {
  position: absolute;
  top: -5px;
  margin-left: -6px;
}

.circle {
  border-radius: 50%;
}

.diamond {
  transform: rotate(45deg) scale(0.85);
}

.triangle {
  clip-path: polygon(50% 0, 100% 100%, 0 100%);
}
</style>
