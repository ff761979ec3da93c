<script setup lang="ts">
import type { PourNumbers } from '@icy-ribbon/contract';
import type { Trend } from '@icy-ribbon/core/judgement/compare';
import { useResizeObserver } from '@vueuse/core';
import { computed, onBeforeUnmount, ref, shallowRef, watch } from 'vue';
import HungPhoto from '#drawing/HungPhoto.vue';
import type { PlaceOf, Plotting } from '#drawing/plot.ts';
import { useAppearance } from '#store/appearance.ts';

/** A pour as a point: its two numbers as they are shown, what it is told apart by, and what the pointer says. */
export interface ChartPoint {
  readonly pour: PourNumbers;
  readonly x: number;
  readonly y: number;
  readonly group: string;
  readonly words: string;
}

/** Pours as small pictures where their numbers lie, with the line that they carry. */
const props = defineProps<{
  points: readonly ChartPoint[];
  trend: Trend | null | undefined;
  xTitle: string;
  yTitle: string;
}>();
const emit = defineEmits<{ hover: [pieceId: string] }>();

const appearance = useAppearance();
const frame = ref<HTMLElement | null>(null);
let plotting: Plotting | undefined;

/** Groups are told apart by the shape that their pictures are cut to. */
const SHAPES = ['circle', 'square', 'diamond', 'triangle-up', 'hexagon', 'star', 'triangle-down', 'pentagon'];
const CROP_PX = 24;
const STEPS = 30;
const groups = computed(() => [...new Set(props.points.map(({ group }) => group))].sort());
const shapeOf = (group: string) => SHAPES[groups.value.indexOf(group) % SHAPES.length]!;

/** The pictures, laid where their points are; a pour without one keeps the bare shape. */
const placeOf = shallowRef<PlaceOf | null>(null);
const crops = computed(() =>
  props.points.flatMap(({ pour, x, y, group }) => {
    if (!pour.photo || !placeOf.value) return [];
    const { left, top } = placeOf.value(x, y);
    const { widthMm, heightMm } = pour.support;
    const width = (CROP_PX * widthMm) / Math.min(widthMm, heightMm);
    const at = `translate(${left}px, ${top}px)`;
    return [{ ...pour, photo: pour.photo, width, shape: shapeOf(group), at }];
  }),
);

const pours = computed(() => {
  const { edge, bench } = appearance.palette;
  return groups.value.map((group) => {
    const own = props.points.filter((point) => point.group === group);
    return {
      x: own.map(({ x }) => x),
      y: own.map(({ y }) => y),
      customdata: own.map(({ pour }) => pour.pieceId),
      text: own.map(({ words }) => words),
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
});

/** The line and its band, over what was tried. */
const line = computed(() => {
  const { trend, points } = props;
  if (!trend) return [];
  const { iceDeep, ink } = appearance.palette;
  const xs = points.map(({ x }) => x);
  const [low, high] = [Math.min(...xs), Math.max(...xs)];
  const along = Array.from({ length: STEPS }, (_, step) => low + ((high - low) * step) / (STEPS - 1));
  const of = (key: 'y' | 'low' | 'high') => along.map((x) => trend.at(x)[key]);
  const quiet = { mode: 'lines', hoverinfo: 'skip', showlegend: false, x: along };
  return [
    { ...quiet, y: of('high'), line: { width: 0 } },
    { ...quiet, y: of('low'), line: { width: 0 }, fill: 'tonexty', fillcolor: iceDeep },
    { ...quiet, y: of('y'), line: { color: ink, width: 2, dash: trend.isSure ? 'solid' : 'dot' } },
  ];
});

async function draw(): Promise<void> {
  if (!frame.value || props.points.length === 0) return;
  let isNew = false;
  if (!plotting) {
    const { plotInto } = await import('#drawing/plot.ts');
    if (!frame.value) return;
    plotting = plotInto(frame.value);
    isNew = true;
  }
  const { xTitle, yTitle } = props;
  const layout = { xTitle, yTitle, legend: groups.value.length > 1 };
  plotting.draw([...line.value, ...pours.value], layout, appearance.palette);
  // Only a chart that is drawn can be listened to.
  if (!isNew) return;
  plotting.onPlaced((place) => (placeOf.value = place));
  plotting.onHover((id) => emit('hover', String(id)));
}
watch([line, pours, frame], () => void draw(), { flush: 'post', immediate: true });
useResizeObserver(frame, () => plotting?.resize());
onBeforeUnmount(() => plotting?.close());
</script>

<template>
  <div class="plot">
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
</template>

<style scoped>
.frame {
  height: 430px;
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
</style>
