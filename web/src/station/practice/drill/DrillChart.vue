<script setup lang="ts">
import type { DrillRun } from '@icy-ribbon/contract';
import { PASSES, SITS } from '@icy-ribbon/core/drill/schedule';
import { useResizeObserver } from '@vueuse/core';
import dayjs from 'dayjs';
import { computed, onBeforeUnmount, onMounted, ref, watch } from 'vue';
import type { Plotting } from '#drawing/plot.ts';
import { useAppearance } from '#store/appearance.ts';

/** The scores of a drill, one after the other. */
const props = defineProps<{ runs: readonly DrillRun[] }>();
const appearance = useAppearance();
const frame = ref<HTMLElement | null>(null);
let plotting: Plotting | undefined;

const data = computed(() => {
  const { palette } = appearance;
  return [
    {
      x: props.runs.map((_, index) => index + 1),
      y: props.runs.map(({ score }) => score),
      customdata: props.runs.map(({ createdAt }) => dayjs(createdAt).format('D MMM YYYY')),
      mode: 'lines+markers',
      line: { color: palette.water, width: 2 },
      marker: { color: palette.water, size: 8 },
      hovertemplate: '%{y:.0f} points, %{customdata}<extra></extra>',
    },
  ];
});
const layout = computed(() => {
  const { palette } = appearance;
  const rule = (y: number) => ({
    type: 'line',
    xref: 'paper',
    ...{ x0: 0, x1: 1, y0: y, y1: y },
    line: { color: palette.inkSoft, width: 1, dash: 'dot' },
  });
  return {
    xTitle: 'time played',
    yTitle: 'points',
    rangeX: [0.5, Math.max(10, props.runs.length) + 0.5] as const,
    stepX: Math.max(1, Math.ceil(props.runs.length / 10)),
    rangeY: [0, 104] as const,
    ticks: [0, PASSES, SITS, 100],
    shapes: [rule(PASSES), rule(SITS)],
  };
});
const draw = () => plotting?.draw(data.value, layout.value, appearance.palette);

onMounted(async () => {
  const { plotInto } = await import('#drawing/plot.ts');
  if (frame.value) plotting = plotInto(frame.value);
  draw();
});
watch([data, layout], draw);
useResizeObserver(frame, () => plotting?.resize());
onBeforeUnmount(() => plotting?.close());
</script>

<template>
  <figure>
    <figcaption class="soft">
      Points, the oldest first; {{ PASSES }} passes, {{ SITS }} sits:
      {{ runs.map(({ score }) => score).join(', ') }}
    </figcaption>
    <div ref="frame" class="frame"></div>
  </figure>
</template>

<style scoped>
.frame {
  height: 200px;
}
</style>
