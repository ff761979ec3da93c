<script setup lang="ts">
import type { PlanStack } from '@icy-ribbon/core/piece/plan';
import { useElementSize } from '@vueuse/core';
import { RadioButton, RadioGroup } from 'ant-design-vue';
import { computed, ref } from 'vue';
import { drawSample } from '../../../drawing/coreSample.ts';
import { forecastErrorWords, forecastWords, ownCellsWords } from '../../../words/forecast.ts';
import { useMeasures } from '../../../words/useMeasures.ts';
import ComputedFrom from '../../../field/ComputedFrom.vue';
import { usePlan } from '../../../store/plan/plan.ts';
import RibbonSample from './RibbonSample.vue';
import { rulerTicks, useSample } from './useSample.ts';
import { useUnits } from '../../../store/units.ts';

/** A cut through the middle of a stack, to scale, with what every interface will do. */
const props = defineProps<{ stack: PlanStack | undefined }>();

const plan = usePlan();
const units = useUnits();
const { sample, moment, dentMm, cells, cellsError } = useSample(() => props.stack);
const frame = ref<HTMLElement | null>(null);
const { width, height } = useElementSize(frame);

const LABELS_PX = 178;
const RULER_PX = 34;
const PAD = 16;

const size = computed(() => ({
  width: Math.max(60, width.value - LABELS_PX - RULER_PX),
  height: Math.max(80, height.value - 2 * PAD),
}));
const hasPile = computed(() => (sample.value?.layers.length ?? 0) > 0);
/** The ribbon that is chosen, else the first that is laid. */
const ribbon = computed(() => {
  const laid = plan.body.paths.filter(({ kind, layers }) => kind !== 'flood' && layers.length > 0);
  return laid.find(({ id }) => plan.selection.includes(id)) ?? laid[0];
});
const drawn = computed(() =>
  sample.value ? drawSample(sample.value, size.value, moment.value === 'poured' ? dentMm.value : 0) : null,
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
    <div class="bar">
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
      <p v-else-if="!hasPile" class="soft">
        Put a stack or a ribbon down to see what lies in it and what it will do.
      </p>
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
          <path
            v-for="layer in drawn.layers"
            :key="layer.key"
            :d="layer.path"
            :fill="layer.layer.paint.colorHex"
            class="layer"
          />
          <line class="floor" x1="0" :x2="size.width" :y1="drawn.floor" :y2="drawn.floor" />
          <template v-for="each in forecasts" :key="each.lower">
            <line
              v-if="each.verdict !== 'holds'"
              class="interface"
              :class="each.verdict"
              x1="0"
              :x2="size.width"
              :y1="each.y"
              :y2="each.y"
            />
          </template>
          <path v-if="drawn.dent" :d="drawn.dent" class="dent" />
          <text v-if="drawn.dent" class="dent-words" :x="size.width / 2" :y="-4" text-anchor="middle">
            dent {{ depth(dentMm) }}
          </text>
          <g v-for="(layer, index) in drawn.layers" :key="`label${layer.key}`">
            <path
              class="leader"
              :d="`M${size.width * 0.62} ${(layer.top + layer.bottom) / 2}L${size.width + 4} ${layer.labelY}`"
            />
            <text :x="size.width + 8" :y="layer.labelY + 1">
              {{ layer.layer.paint.name }}
              <tspan class="soft-text">
                {{ depth(layer.layer.thicknessMm)
                }}{{ layer.layer.massG > 0 ? `, ${units.show('mass', layer.layer.massG * 1000)}` : ' base' }}
              </tspan>
            </text>
            <text
              v-if="above(index)"
              :x="size.width + 8"
              :y="layer.labelY + 15"
              class="forecast"
              :class="above(index)!.verdict"
            >
              {{ above(index)!.words }}
            </text>
          </g>
        </g>
      </svg>
    </div>
  </section>
</template>

<style scoped>
.sample {
  display: grid;
  grid-template-rows: auto auto minmax(150px, 1fr);
  min-height: 0;
}

.bar {
  display: flex;
  align-items: baseline;
  gap: 8px;
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

svg {
  position: absolute;
  inset: 0;
}

.layer {
  stroke: var(--ink);
  stroke-width: 0.6;
}

.floor {
  stroke: var(--ink);
  stroke-width: 2;
}

.interface {
  stroke: var(--brass);
  stroke-width: 2;
  stroke-dasharray: 2 3;
}

.interface.sinks {
  stroke: var(--alarm);
}

.dent {
  fill: none;
  stroke: var(--ink);
  stroke-width: 1.5;
  stroke-dasharray: 5 3;
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
  font-size: 13px;
  fill: var(--ink);
}

.soft-text,
.dent-words {
  fill: var(--ink-soft);
  font-size: 12px;
}

.forecast {
  font-size: 12px;
  fill: var(--ink-soft);
}

.forecast.opens {
  fill: var(--brass-ink);
}

.forecast.sinks {
  fill: var(--alarm);
}
</style>
