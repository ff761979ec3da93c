<script setup lang="ts">
import { useStorage } from '@vueuse/core';
import { Button } from 'ant-design-vue';
import { computed, shallowRef } from 'vue';
import FromAbove from '#field/picture/FromAbove.vue';
import PictureCorners from '#field/picture/PictureCorners.vue';
import TakePicture from '#field/picture/TakePicture.vue';
import { usePicture } from '#field/picture/usePicture.ts';
import QuantityField from '#field/QuantityField.vue';
import { useUnits } from '#store/units.ts';
import { photoWorker } from '#worker/workers.ts';
import type { RaceReport } from '#worker/photo.worker.ts';
import { plain } from '#worker/plain.ts';
import type { Lane, RunLength } from './race.ts';

/** A race read off one picture of the card, laid flat again: no stopwatch, no keys. */
const props = defineProps<{ lanes: readonly Lane[] }>();
const emit = defineEmits<{ found: [lengths: Readonly<Record<string, RunLength>>] }>();
const units = useUnits();

const widthMm = useStorage<number | null>('icy-ribbon.race-card-width', 150);
const heightMm = useStorage<number | null>('icy-ribbon.race-card-height', 200);
const startLineMm = useStorage<number | null>('icy-ribbon.race-card-start', 20);
/** Clear liquids show on no picture: their lanes are typed. */
const painted = computed(() => props.lanes.filter(({ cupId }) => cupId !== null));
const report = shallowRef<RaceReport | null>(null);

const picture = usePicture(async (file, corners) => {
  if (!widthMm.value || !heightMm.value || !startLineMm.value) return;
  report.value = null;
  const input = {
    ...{ widthMm: widthMm.value, heightMm: heightMm.value, startLineMm: startLineMm.value },
    corners,
    lanes: painted.value.map(({ key, colorHex }) => ({ key, hex: colorHex })),
  };
  report.value = await photoWorker().race(file, plain(input));
  emit('found', lengthsIn(report.value));
});
const { busy, trouble, file, src, size, corners, isUnsure, isMoving } = picture;

function choose(given: File): void {
  report.value = null;
  void picture.take(given);
}

/** What a highlight hides is not taken for read. */
function lengthsIn({ race }: RaceReport): Record<string, RunLength> {
  const sure = race.lanes.filter(({ isGlared }) => !isGlared);
  return Object.fromEntries(
    sure.map(({ key, lengthMm, sdMm }) => [key, { mm: Math.round(10 * lengthMm) / 10, sdMm }]),
  );
}

const named = computed(() =>
  (report.value?.race.lanes ?? []).map((lane) => ({ ...lane, name: nameOf(lane.key) })),
);
const nameOf = (key: string) => props.lanes.find((lane) => lane.key === key)?.name ?? '';
</script>

<template>
  <section class="picture stacked" aria-label="Read off a picture">
    <p class="soft">
      Lay the card flat, and take it from above: all four corners on a table of another shade, the dots at the
      top, no lamp mirrored over an end. The start line is told from the card’s top edge.
    </p>
    <div class="fields sizes flowing">
      <QuantityField v-model="widthMm" label="Card, width" quantity="length" />
      <QuantityField v-model="heightMm" label="Card, height" quantity="length" />
      <QuantityField v-model="startLineMm" label="Start line" quantity="length" />
    </div>
    <div class="fields flowing">
      <TakePicture label="Picture of the card" :busy="busy" :disabled="painted.length < 2" @taken="choose" />
      <Button v-if="file && !isMoving" @click="isMoving = true">Move the corners</Button>
    </div>
    <p v-if="trouble" role="alert" class="look">{{ trouble }}</p>
    <PictureCorners
      v-if="isMoving && file"
      v-model:corners="corners"
      what="card"
      :src="src"
      :size="size"
      :is-unsure="isUnsure"
      :busy="busy"
      @read="picture.readAgain"
    />
    <figure v-else-if="report && widthMm && heightMm">
      <FromAbove
        :picture="report.picture"
        :width-mm="widthMm"
        :height-mm="heightMm"
        label="The card as it was read"
      >
        <g v-for="(lane, index) in named" :key="lane.key">
          <line :x1="lane.from[0]" :y1="lane.from[1]" :x2="lane.to[0]" :y2="lane.to[1]" class="edge" />
          <line :x1="lane.from[0]" :y1="lane.from[1]" :x2="lane.to[0]" :y2="lane.to[1]" class="length" />
          <text :x="lane.from[0]" :y="lane.from[1] - 8" text-anchor="middle" font-size="10">
            {{ index + 1 }}
          </text>
        </g>
      </FromAbove>
      <figcaption>
        <ol>
          <li v-for="lane in named" :key="lane.key">
            {{ lane.name }}
            <span class="numeral">{{ units.show('depth', lane.lengthMm) }}</span>
            <span class="soft"> ± {{ units.show('depth', 1.645 * lane.sdMm) }}</span>
          </li>
        </ol>
        <p v-for="warning in report.race.warnings" :key="warning.code + warning.lane" class="look">
          <strong v-if="warning.lane">{{ nameOf(warning.lane) }}:</strong> {{ warning.message }}
        </p>
      </figcaption>
    </figure>
  </section>
</template>

<style scoped>
.sizes > * {
  flex: 1 1 80px;
  min-width: 0;
}

figure {
  display: grid;
  grid-template-columns: minmax(0, 180px) minmax(0, 1fr);
  gap: 12px;
}

.edge {
  stroke: var(--photo-edge);
  stroke-width: 2.6;
}

.length {
  stroke: var(--photo-line);
  stroke-width: 1.2;
}

text {
  fill: var(--photo-edge);
}

ol {
  padding-left: 16px;
  list-style: decimal;
}
</style>
