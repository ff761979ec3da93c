<script setup lang="ts">
import type { RaceWarning } from '@icy-ribbon/core/picture';
import { useStorage } from '@vueuse/core';
import { Button } from 'ant-design-vue';
import { computed, nextTick, ref, shallowRef, useTemplateRef, watch } from 'vue';
import QuantityField from '../../../field/QuantityField.vue';
import { useTask } from '../../../notice/useTask.ts';
import { useUnits } from '../../../store/units.ts';
import { photoWorker } from '../../../worker/photo.ts';
import type { RaceReport } from '../../../worker/photo.worker.ts';
import { plain } from '../../../worker/plain.ts';
import type { Lane } from './race.ts';

/** A race read off one picture of the card, laid flat again: no stopwatch, no keys. */
const props = defineProps<{ lanes: readonly Lane[] }>();
const emit = defineEmits<{ found: [lengthsMm: Readonly<Record<string, number>>] }>();
const units = useUnits();
const { busy, run } = useTask();

const widthMm = useStorage<number | null>('icy-ribbon.race-card-width', 150);
const heightMm = useStorage<number | null>('icy-ribbon.race-card-height', 200);
/** Clear liquids show on no picture: their lanes are typed. */
const painted = computed(() => props.lanes.filter(({ mixId }) => mixId !== null));
const report = shallowRef<RaceReport | null>(null);
const canvas = useTemplateRef<HTMLCanvasElement>('canvas');
const input = ref<HTMLInputElement | null>(null);

async function read(event: Event): Promise<void> {
  const file = (event.target as HTMLInputElement).files?.[0];
  // The same picture may be read again, with another size.
  if (input.value) input.value.value = '';
  if (!file || widthMm.value === null || heightMm.value === null) return;
  const card = {
    ...{ widthMm: widthMm.value, heightMm: heightMm.value },
    lanes: painted.value.map(({ key, colorHex }) => ({ key, hex: colorHex })),
  };
  report.value = null;
  await run(async () => {
    report.value = await photoWorker().race(file, plain(card));
    emit(
      'found',
      Object.fromEntries(report.value.race.lanes.map(({ key, lengthMm }) => [key, round(lengthMm)])),
    );
  });
}
const round = (mm: number) => Math.round(10 * mm) / 10;

watch(report, async (found) => {
  if (!found) return;
  await nextTick();
  if (!canvas.value) return;
  canvas.value.width = found.picture.width;
  canvas.value.height = found.picture.height;
  canvas.value.getContext('2d')?.putImageData(found.picture, 0, 0);
});

const WORDS: Readonly<Record<RaceWarning, string>> = {
  lanes: 'There is more paint on the card than lanes: the longest were taken.',
  alike: 'Some colors look alike: see whether each lane has its own cup, and type what is wrong.',
  cut: 'A lane runs into the edge of the card: it may have run on. Stop it sooner.',
  short: 'A lane is hardly longer than wide: let it run longer.',
  soft: 'The card is small in this picture: go closer for surer lengths.',
};
const named = computed(() =>
  (report.value?.race.lanes ?? []).map((lane) => ({
    ...lane,
    name: props.lanes.find(({ key }) => key === lane.key)?.name ?? '',
  })),
);
</script>

<template>
  <section class="picture" aria-label="Read off a picture">
    <p class="soft">
      Lay the card flat, and take it from above: all four corners on a table of another shade, the dots at the
      top, no lamp mirrored over an end.
    </p>
    <div class="fields">
      <QuantityField v-model="widthMm" label="Width of the card" quantity="length" />
      <QuantityField v-model="heightMm" label="Height of the card" quantity="length" />
    </div>
    <input ref="input" type="file" accept="image/jpeg,image/png" hidden @change="read" />
    <Button :loading="busy" :disabled="painted.length < 2" @click="input?.click()"
      >Picture of the card</Button
    >
    <figure v-if="report">
      <div class="seen">
        <canvas ref="canvas" role="img" aria-label="The card as it was read"></canvas>
        <svg :viewBox="`0 0 ${widthMm} ${heightMm}`" aria-hidden="true">
          <g v-for="(lane, index) in named" :key="lane.key">
            <line :x1="lane.from[0]" :y1="lane.from[1]" :x2="lane.to[0]" :y2="lane.to[1]" class="length" />
            <text :x="lane.from[0]" :y="lane.from[1] - 3" text-anchor="middle" font-size="10">
              {{ index + 1 }}
            </text>
          </g>
        </svg>
      </div>
      <figcaption>
        <ol>
          <li v-for="lane in named" :key="lane.key">
            {{ lane.name }}
            <span class="numeral">{{ units.show('depth', lane.lengthMm) }}</span>
            <span class="soft"> ± {{ units.show('depth', 1.645 * lane.sdMm) }}</span>
          </li>
        </ol>
        <p v-for="warning in report.race.warnings" :key="warning" class="look">{{ WORDS[warning] }}</p>
      </figcaption>
    </figure>
  </section>
</template>

<style scoped>
.picture {
  display: grid;
  gap: 8px;
  justify-items: start;
}

.fields {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
}

figure {
  display: grid;
  grid-template-columns: minmax(0, 180px) minmax(0, 1fr);
  gap: 12px;
  margin: 0;
}

.seen {
  position: relative;
}

canvas {
  display: block;
  width: 100%;
}

svg {
  position: absolute;
  inset: 0;
  width: 100%;
  height: 100%;
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

ol,
p {
  margin: 0;
  padding: 0 0 0 16px;
}

p {
  padding: 0;
}
</style>
