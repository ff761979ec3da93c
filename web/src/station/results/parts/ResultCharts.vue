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
import { useResizeObserver } from '@vueuse/core';
import { Button } from 'ant-design-vue';
import { computed, onBeforeUnmount, ref, shallowRef, watch } from 'vue';
import EmptyDrawing from '../../../drawing/EmptyDrawing.vue';
import HungPhoto from '../../../drawing/HungPhoto.vue';
import type { PlaceOf, Plotting } from '../../../drawing/plot.ts';
import BareSelect from '../../../field/BareSelect.vue';
import { useAppearance } from '../../../store/appearance.ts';
import { usePieces } from '../../../store/pieces.ts';
import { useUnits } from '../../../store/units.ts';
import { beyondTheLine } from '../../../words/difference.ts';
import { TECHNIQUE_LABELS } from '../../../words/general.ts';
import { axisTitle, quantityWords, shownValue } from '../../../words/quantity.ts';
import { useMeasures } from '../../../words/useMeasures.ts';
import { useNumbers } from './useNumbers.ts';

/** Any recorded cause against any measured effect, with a line and its band when the pours carry one. */
const { pours, cellsFromMm, loaded } = useNumbers();
const pieces = usePieces();
const units = useUnits();
const measures = useMeasures();
const appearance = useAppearance();
const causeKey = ref('activatorRatio');
const effectKey = ref('cellMm');
const colorBy = ref<'technique' | 'tool'>('technique');
const frame = ref<HTMLElement | null>(null);
const hovered = ref<PourNumbers | null>(null);
let plotting: Plotting | undefined;

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

const points = computed(() =>
  pours.value
    .filter((pour) => !technique.value || pour.technique === technique.value)
    .flatMap((pour) => {
      const [x, y] = [pour.numbers[causeKey.value], pour.numbers[effectKey.value]];
      return typeof x === 'number' && typeof y === 'number'
        ? [{ pour, x: shown(cause.value, x), y: shown(effect.value, y) }]
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

const groupOf = (pour: PourNumbers) =>
  colorBy.value === 'technique'
    ? TECHNIQUE_LABELS[pour.technique]
    : pour.tool
      ? airTool(pour.tool).label
      : 'no air';
/** Groups are told apart by the shape that their pictures are cut to. */
const SHAPES = ['circle', 'square', 'diamond', 'triangle-up', 'hexagon', 'star', 'triangle-down', 'pentagon'];
const CROP_PX = 24;
const HOVERED_PX = 240;
const groups = computed(() => [...new Set(points.value.map(({ pour }) => groupOf(pour)))].sort());
const shapeOf = (group: string) => SHAPES[groups.value.indexOf(group) % SHAPES.length]!;

/** The pictures, laid where their points are; a pour without one keeps the bare shape. */
const placeOf = shallowRef<PlaceOf | null>(null);
const crops = computed(() =>
  points.value.flatMap(({ pour, x, y }) => {
    if (!pour.photo || !placeOf.value) return [];
    const { left, top } = placeOf.value(x, y);
    const { widthMm, heightMm } = pour.support;
    const width = (CROP_PX * widthMm) / Math.min(widthMm, heightMm);
    return [
      {
        ...pour,
        photo: pour.photo,
        width,
        shape: shapeOf(groupOf(pour)),
        at: `translate(${left}px, ${top}px)`,
      },
    ];
  }),
);

const data = computed(() => {
  const { edge, bench, iceDeep, ink } = appearance.palette;
  const traces: object[] = groups.value.map((group) => {
    const own = points.value.filter(({ pour }) => groupOf(pour) === group);
    return {
      x: own.map(({ x }) => x),
      y: own.map(({ y }) => y),
      customdata: own.map(({ pour }) => pour.pieceId),
      text: own.map(
        ({ pour }) =>
          `${pour.name}<br>${said(cause.value, pour.numbers[causeKey.value]!)}, ${said(effect.value, pour.numbers[effectKey.value]!)}`,
      ),
      hoverinfo: 'text',
      mode: 'markers',
      name: group,
      marker: {
        size: CROP_PX + 4,
        color: edge,
        opacity: 1,
        symbol: shapeOf(group),
        line: { color: bench, width: 1 },
      },
    };
  });
  if (!trend.value) return traces;
  const xs = points.value.map(({ x }) => x);
  const [low, high] = [Math.min(...xs), Math.max(...xs)];
  const along = Array.from({ length: 30 }, (_, step) => low + ((high - low) * step) / 29);
  const line = (of: (at: { y: number; low: number; high: number }) => number) =>
    along.map((x) => of(trend.value!.at(x)));
  const quiet = { mode: 'lines', hoverinfo: 'skip', showlegend: false };
  return [
    { ...quiet, x: along, y: line((at) => at.high), line: { width: 0 } },
    {
      ...quiet,
      x: along,
      y: line((at) => at.low),
      line: { width: 0 },
      fill: 'tonexty',
      fillcolor: iceDeep,
    },
    {
      ...quiet,
      x: along,
      y: line((at) => at.y),
      line: { color: ink, width: 2, dash: trend.value.isSure ? 'solid' : 'dot' },
    },
    ...traces,
  ];
});

async function draw(): Promise<void> {
  if (!frame.value || points.value.length === 0) return;
  let isNew = false;
  if (!plotting) {
    const { plotInto } = await import('../../../drawing/plot.ts');
    if (!frame.value) return;
    plotting = plotInto(frame.value);
    isNew = true;
  }
  plotting.draw(
    data.value,
    { xTitle: title(cause.value), yTitle: title(effect.value), legend: groups.value.length > 1 },
    appearance.palette,
  );
  // Only a chart that is drawn can be listened to.
  if (!isNew) return;
  plotting.onPlaced((place) => (placeOf.value = place));
  plotting.onHover((id) => (hovered.value = pours.value.find((pour) => pour.pieceId === id) ?? null));
}
watch([data, frame, () => appearance.palette], () => void draw(), { flush: 'post' });
useResizeObserver(frame, () => plotting?.resize());
onBeforeUnmount(() => plotting?.close());

function ready(key: (typeof READY)[number]): void {
  causeKey.value = key.cause;
  effectKey.value = key.effect;
}
</script>

<template>
  <section class="charts" aria-label="Charts">
    <div class="bar">
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
    <div class="stage">
      <div v-show="points.length > 0" class="plot">
        <div ref="frame" class="frame"></div>
        <span
          v-for="crop in crops"
          :key="crop.pieceId"
          class="crop"
          :class="crop.shape"
          :style="{ transform: crop.at }"
          aria-hidden="true"
        >
          <HungPhoto
            :photo="crop.photo"
            :support="{ ...crop.support, shape: 'rectangle' }"
            :width="crop.width"
            alt=""
          />
        </span>
      </div>
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
  display: grid;
  gap: 8px;
  padding-top: 12px;
}

.bar {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 8px;
}

.pick {
  width: 270px;
}

.by {
  width: 140px;
}

.stage {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 240px;
  gap: 16px;
}

.frame {
  height: 430px;
}

.hovered {
  margin: 0;
}

.plot {
  position: relative;
}

.crop {
  position: absolute;
  top: -12px;
  left: -12px;
  display: grid;
  place-items: center;
  width: 24px;
  height: 24px;
  overflow: hidden;
  pointer-events: none;
}

.circle {
  border-radius: 50%;
}

.diamond {
  clip-path: polygon(50% 0, 100% 50%, 50% 100%, 0 50%);
}

.triangle-up {
  clip-path: polygon(50% 0, 100% 90%, 0 90%);
}

.triangle-down {
  clip-path: polygon(0 10%, 100% 10%, 50% 100%);
}

.hexagon {
  clip-path: polygon(25% 6%, 75% 6%, 100% 50%, 75% 94%, 25% 94%, 0 50%);
}

.pentagon,
.star {
  clip-path: polygon(50% 0, 100% 38%, 82% 100%, 18% 100%, 0 38%);
}

.hint {
  font-size: var(--type-text);
}
</style>
