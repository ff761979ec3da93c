<script setup lang="ts">
import type { PourNumbers } from '@icy-ribbon/contract';
import { airTool } from '@icy-ribbon/core/flow/air';
import {
  CAUSES,
  EFFECTS,
  findQuantity,
  madeTheDifference,
  trendOf,
  type Quantity,
} from '@icy-ribbon/core/judgement/compare';
import { Button } from 'ant-design-vue';
import { computed, ref } from 'vue';
import EmptyDrawing from '#drawing/EmptyDrawing.vue';
import HungPhoto from '#drawing/HungPhoto.vue';
import BareSelect from '#field/BareSelect.vue';
import { usePieces } from '#store/pieces.ts';
import { useUnits } from '#store/units.ts';
import { beyondTheLine } from '#words/difference.ts';
import { TECHNIQUE_LABELS } from '#words/general.ts';
import { axisTitle, quantityWords, shownValue } from '#words/quantity.ts';
import { useMeasures } from '#words/useMeasures.ts';
import PourChart from './PourChart.vue';
import { useNumbers } from './useNumbers.ts';

/** Any recorded cause against any measured effect, with a line and its band when the pours carry one. */
const { pours, cellsFromMm, loaded } = useNumbers();
const pieces = usePieces();
const units = useUnits();
const measures = useMeasures();
const causeKey = ref('activatorRatio');
const effectKey = ref('cellMm');
const colorBy = ref<'technique' | 'tool'>('technique');
const hovered = ref<PourNumbers | null>(null);

const READY = [
  { label: 'Cell size against activator thickness', cause: 'activatorRatio', effect: 'cellMm' },
  { label: 'Lacing against activator thickness', cause: 'activatorRatio', effect: 'lacingShare' },
  { label: 'Cell size against distance', cause: 'distanceMm', effect: 'cellMm' },
  { label: 'Lacing width against distance', cause: 'distanceMm', effect: 'lacingWidthMm' },
];
const causeOptions = CAUSES.map(({ key, label }) => ({ value: key, label }));
const effectOptions = EFFECTS.map(({ key, label }) => ({ value: key, label }));
const cause = computed(() => findQuantity(causeKey.value)!);
const effect = computed(() => findQuantity(effectKey.value)!);
const technique = computed(() => pieces.filter.technique);

const shown = (quantity: Quantity, value: number) => shownValue(quantity, value, units.chosen);
const title = (quantity: Quantity) => axisTitle(quantity, units.chosen);
const said = (quantity: Quantity, value: number) => quantityWords(quantity, value, units.chosen);

const groupOf = (pour: PourNumbers) =>
  colorBy.value === 'technique'
    ? TECHNIQUE_LABELS[pour.technique]
    : pour.tool
      ? airTool(pour.tool).label
      : 'no air';
const points = computed(() =>
  pours.value
    .filter((pour) => !technique.value || pour.technique === technique.value)
    .flatMap((pour) => {
      const [x, y] = [pour.numbers[causeKey.value], pour.numbers[effectKey.value]];
      return typeof x === 'number' && typeof y === 'number'
        ? [
            {
              pour,
              x: shown(cause.value, x),
              y: shown(effect.value, y),
              group: groupOf(pour),
              words: `${pour.name}<br>${said(cause.value, x)}, ${said(effect.value, y)}`,
            },
          ]
        : [];
    }),
);
const trend = computed(() => trendOf(points.value));
const words = computed(() => {
  if (!trend.value) {
    return `${points.value.length} pours have both numbers. A line needs six that differ.`;
  }
  const { n, slope, slopeLow, slopeHigh, isSure, at } = trend.value;
  const xs = points.value.map(({ x }) => x);
  const [low, high] = [Math.min(...xs), Math.max(...xs)];
  const digits = (value: number) => String(Number(value.toPrecision(2))).replace('-', '−');
  const per = `${digits(slopeLow)} to ${digits(slopeHigh)} for each 1 along the bottom, nine times in ten`;
  return isSure
    ? `${effect.value.label} goes ${slope > 0 ? 'up' : 'down'} with it: from ${digits(at(low).y)} to ${digits(at(high).y)} over what you tried (${n} pours; ${per}).`
    : `${n} pours do not tell whether it goes up or down (${per}).`;
});

/** Why all causes together say something else than this line; only within one technique. */
const beyond = computed(() => {
  const techniques = new Set(points.value.map(({ pour }) => pour.technique));
  if (!trend.value || techniques.size !== 1) return undefined;
  const numbers = points.value.map(({ pour }) => pour.numbers);
  return beyondTheLine(trend.value, cause.value, madeTheDifference(numbers, effect.value));
});

const HOVERED_PX = 240;

function ready(key: (typeof READY)[number]): void {
  causeKey.value = key.cause;
  effectKey.value = key.effect;
}
</script>

<template>
  <section class="charts stacked" aria-label="Charts">
    <div class="bar flowing centered">
      <BareSelect v-model:value="effectKey" class="pick" :options="effectOptions" label="Effect" />
      against
      <BareSelect v-model:value="causeKey" class="pick" :options="causeOptions" label="Cause" />
      <BareSelect
        v-model:value="colorBy"
        class="by"
        :options="[
          { value: 'technique', label: 'by technique' },
          { value: 'tool', label: 'by tool' },
        ]"
        label="Told apart by"
      />
    </div>
    <p class="ready">
      <Button v-for="each in READY" :key="each.label" size="small" type="link" @click="ready(each)">
        {{ each.label }}
      </Button>
    </p>
    <div class="stage stacked gap-16">
      <PourChart
        v-if="points.length > 0"
        :points="points"
        :trend="trend"
        :x-title="title(cause)"
        :y-title="title(effect)"
        @hover="(id) => (hovered = pours.find(({ pieceId }) => pieceId === id) ?? null)"
      />
      <EmptyDrawing v-if="loaded && points.length === 0" kind="chart">
        No pour has both numbers yet. Log the pour, attach a photo and measure it.
      </EmptyDrawing>
      <figure v-if="hovered" class="hovered">
        <HungPhoto
          v-if="hovered.photo"
          :photo="hovered.photo"
          :support="hovered.support"
          :width="HOVERED_PX"
          :alt="hovered.name"
        />
        <figcaption>
          <RouterLink :to="`/results/${hovered.pieceId}`">{{ hovered.name }}</RouterLink>
        </figcaption>
      </figure>
      <p v-else class="soft hint">Point at a pour to see its picture.</p>
    </div>
    <p role="status">{{ words }} {{ beyond }}</p>
    <p v-if="cellsFromMm !== null && effectKey.startsWith('cell')" class="soft">
      Cells from {{ measures.size(cellsFromMm) }} on, which every photo could show.
    </p>
  </section>
</template>

<style scoped>
.charts {
  padding-top: 12px;
}

.pick {
  width: 270px;
}

.by {
  width: 140px;
}

.stage {
  grid-template-columns: minmax(0, 1fr) 240px;
}

.hint {
  font-size: var(--type-text);
}
</style>
