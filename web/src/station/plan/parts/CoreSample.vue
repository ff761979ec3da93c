<script setup lang="ts">
import type { PlanStack } from '@icy-ribbon/core/piece/plan';
import { useElementSize } from '@vueuse/core';
import { RadioButton, RadioGroup } from 'ant-design-vue';
import { computed, ref } from 'vue';
import EmptyDrawing from '#drawing/EmptyDrawing.vue';
import { drawColumn } from '#drawing/coreSample.ts';
import { forecastErrorWords, forecastWords, ownCellsWords } from '#words/forecast.ts';
import { useMeasures } from '#words/useMeasures.ts';
import ComputedFrom from '#field/ComputedFrom.vue';
import { usePlan } from '#store/plan/plan.ts';
import PileSilhouette from './PileSilhouette.vue';
import RibbonSample from './RibbonSample.vue';
import { rulerTicks, useSample } from './useSample.ts';
import { useUnits } from '#store/units.ts';

/** The middle of a stack as a column, to scale, with what every interface will do; below it the pile from the side. */
const props = defineProps<{ stack: PlanStack | undefined }>();

const plan = usePlan();
const units = useUnits();
const { sample, moment, dentMm, cells, cellsError } = useSample(() => props.stack);
const frame = ref<HTMLElement | null>(null);
const { width, height } = useElementSize(frame);

const COLUMN_PX = 110;
const RULER_PX = 30;
const PAD = 20;

const size = computed(() => ({ width: COLUMN_PX, height: Math.max(80, height.value - PAD - 4) }));
const hasPile = computed(() => (sample.value?.layers.length ?? 0) > 0);
/** The ribbon that is chosen, else the first that is laid. */
const ribbon = computed(() => {
  const laid = plan.body.paths.filter(({ kind, layers }) => kind !== 'flood' && layers.length > 0);
  return laid.find(({ id }) => plan.selection.includes(id)) ?? laid[0];
});
const drawn = computed(() =>
  sample.value ? drawColumn(sample.value, size.value, moment.value === 'poured' ? dentMm.value : 0) : null,
);
const forecasts = computed(() =>
  (sample.value?.interfaces ?? []).map((each) => ({
    ...each,
    y: drawn.value?.layers[each.lower]?.top ?? 0,
    words: forecastWords(each, measures.value),
  })),
);
const ticks = computed(() => rulerTicks(sample.value?.heightMm ?? 0, units.chosen.length === 'in'));
const above = (index: number) => forecasts.value.find((each) => each.lower === index - 1);
const measures = useMeasures();
const depth = (value: number) => measures.value.depth(value, value < 1 ? 2 : 1);
</script>

<template>
  <section class="sample" aria-label="Core sample">
    <div class="bar abreast">
      <h2>Core sample</h2>
      <ComputedFrom calculation="cells" />
      <RadioGroup
        v-if="hasPile"
        v-model:value="moment"
        name="sample-moment"
        size="small"
        aria-label="Shown as it is"
      >
        <RadioButton value="poured">Poured</RadioButton>
        <RadioButton value="blown">Blown out</RadioButton>
      </RadioGroup>
    </div>
    <p v-if="cells" class="cells" :title="cellsError ? forecastErrorWords(cellsError) : undefined">
      {{ ownCellsWords(cells, measures) }}
      <ComputedFrom calculation="own-cells" />
    </p>
    <div ref="frame" class="drawing">
      <RibbonSample v-if="!hasPile && ribbon" :path="ribbon" />
      <EmptyDrawing v-else-if="!hasPile" kind="pile">
        Put a stack or a ribbon down to see what lies in it and what it will do.
      </EmptyDrawing>
      <svg
        v-else-if="drawn && sample"
        :width="width"
        :height="height"
        role="img"
        :aria-label="`${depth(sample.heightMm)} in the middle`"
      >
        <g :transform="`translate(${RULER_PX} ${PAD})`">
          <g v-for="tick in ticks" :key="tick.mm">
            <line
              class="tick"
              x1="-6"
              x2="0"
              :y1="drawn.floor - tick.mm * drawn.pxPerMm"
              :y2="drawn.floor - tick.mm * drawn.pxPerMm"
            />
            <text class="soft-text" x="-9" :y="drawn.floor - tick.mm * drawn.pxPerMm + 4" text-anchor="end">
              {{ tick.words }}
            </text>
          </g>
          <text class="soft-text" x="-6" y="-4" text-anchor="end">
            {{ units.chosen.length === 'in' ? 'in' : 'mm' }}
          </text>
          <rect
            v-for="layer in drawn.layers"
            :key="layer.key"
            :y="layer.top"
            :width="size.width"
            :height="layer.bottom - layer.top"
            :fill="layer.layer.paint.colorHex"
            class="layer"
          />
          <line class="floor" x1="0" :x2="size.width" :y1="drawn.floor" :y2="drawn.floor" />
          <template v-for="each in forecasts" :key="each.lower">
            <line
              v-if="each.verdict !== 'holds'"
              class="interface"
              :class="each.verdict"
              x1="-6"
              :x2="size.width + 6"
              :y1="each.y"
              :y2="each.y"
            />
          </template>
          <path v-if="drawn.dent" :d="drawn.dent" class="dent" />
          <text
            v-if="drawn.dent"
            class="soft-text"
            :x="size.width / 2"
            :y="drawn.layers.at(-1)!.top - 6"
            text-anchor="middle"
          >
            dent {{ depth(dentMm) }}
          </text>
          <g v-for="(layer, index) in drawn.layers" :key="`label${layer.key}`">
            <path
              class="leader"
              :d="`M${size.width + 2} ${(layer.top + layer.bottom) / 2}L${size.width + 16} ${layer.labelY - 4}`"
            />
            <text :x="size.width + 20" :y="layer.labelY + 1">
              {{ layer.layer.paint.name }}
            </text>
            <text class="soft-text" :x="size.width + 20" :y="layer.labelY + 16">
              {{ depth(layer.layer.thicknessMm)
              }}{{ layer.layer.massG > 0 ? `, ${units.show('mass', layer.layer.massG * 1000)}` : ' base' }}
            </text>
            <text
              v-if="above(index)"
              :x="size.width + 20"
              :y="layer.labelY + 31"
              class="forecast"
              :class="above(index)!.verdict"
            >
              {{ above(index)!.words }}
            </text>
          </g>
        </g>
      </svg>
    </div>
    <PileSilhouette v-if="hasPile && sample && width > 0" :sample="sample" :width="width" class="side" />
  </section>
</template>

<style scoped>
.sample {
  display: grid;
  grid-template-rows: auto auto minmax(150px, 1fr) auto;
  min-height: 0;
}

.bar {
  align-items: baseline;
}

.bar > :last-child {
  margin-left: auto;
}

.cells {
  margin: 2px 0 0;
}

.drawing {
  grid-row: 3;
  position: relative;
  min-height: 0;
  overflow: hidden;
}

.drawing > svg {
  position: absolute;
  inset: 0;
}

.layer {
  stroke: var(--ink);
  stroke-width: var(--paint-edge);
}

.floor {
  stroke: var(--ink);
  stroke-width: 2;
}

.interface {
  stroke: var(--water);
  stroke-width: 2;
}

.interface.sinks {
  stroke: var(--alarm);
  stroke-dasharray: 6 3;
}

.dent {
  fill: var(--bench);
  stroke: var(--ink);
  stroke-width: 1;
}

.tick {
  stroke: var(--ink-soft);
}

.leader {
  fill: none;
  stroke: var(--ink-soft);
  stroke-width: 0.75;
}

text {
  font-size: var(--type-note);
  fill: var(--ink);
}

.soft-text {
  fill: var(--ink-soft);
  font-size: var(--type-note);
}

.forecast {
  font-size: var(--type-note);
  fill: var(--ink-soft);
}

.forecast.opens {
  fill: var(--water);
  font-weight: var(--weight-strong);
}

.forecast.sinks {
  fill: var(--alarm);
}
</style>
