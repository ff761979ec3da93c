<script setup lang="ts">
import { contentsOf, evidenceOf, responseCurve } from '@icy-ribbon/core/thickness/learn';
import { STAGES } from '@icy-ribbon/core/paint/stage';
import { useResizeObserver } from '@vueuse/core';
import { computed, onBeforeUnmount, onMounted, ref, watch } from 'vue';
import { useAppearance } from '#store/appearance.ts';
import { usePiece, type Cup } from '#store/piece/piece.ts';
import type { Plotting } from '#drawing/plot.ts';

/** How a cup answers to its thinner: what is expected, how sure, and every reading as a point. */
const props = defineProps<{ cup: Cup; targetPaS: number }>();

const store = usePiece();
const appearance = useAppearance();
const frame = ref<HTMLElement | null>(null);
let plotting: Plotting | undefined;

const thinnerIndex = computed(() => {
  const { ingredients } = props.cup.mix;
  const water = ingredients.findIndex((each) => each.role === 'water');
  return water >= 0 ? water : ingredients.findIndex((each) => each.role === 'thinner');
});
const thinnerName = computed(() => props.cup.mix.ingredients[thinnerIndex.value]?.material.name ?? 'thinner');

const curve = computed(() =>
  thinnerIndex.value < 0
    ? []
    : responseCurve(
        store.belief,
        props.cup.mix.ingredients,
        props.cup.state.shownIngredientMg,
        thinnerIndex.value,
      ),
);

const points = computed(() =>
  evidenceOf(props.cup.mix.id, store.mixes, store.readings)
    .filter(({ reading, says }) => says && !reading.struck)
    .map(({ reading, says }) => {
      const mg = contentsOf(props.cup.mix, reading);
      const total = mg.reduce((sum, each) => sum + each, 0);
      return { share: (mg[thinnerIndex.value] ?? 0) / total, paS: says!.viscosityPaS, sdLn: says!.spreadLn };
    }),
);

const now = computed(() => {
  const mg = props.cup.state.shownIngredientMg;
  return (mg[thinnerIndex.value] ?? 0) / mg.reduce((sum, each) => sum + each, 0);
});

const data = computed(() => {
  const { palette } = appearance;
  const percent = curve.value.map((each) => 100 * each.share);
  const line = (of: (paS: number, sd: number) => number) =>
    curve.value.map((each) => of(each.viscosityPaS, each.spreadLn));
  return [
    {
      x: percent,
      y: line((paS, sd) => paS * Math.exp(sd)),
      mode: 'lines',
      line: { width: 0 },
      hoverinfo: 'skip',
    },
    {
      x: percent,
      y: line((paS, sd) => paS * Math.exp(-sd)),
      mode: 'lines',
      line: { width: 0 },
      fill: 'tonexty',
      fillcolor: palette.iceDeep,
      hoverinfo: 'skip',
    },
    {
      x: percent,
      y: line((paS) => paS),
      mode: 'lines',
      name: 'expected',
      line: { color: palette.water, width: 2 },
      hovertemplate: '%{x:.0f} %: %{y:.2f} Pa·s<extra></extra>',
    },
    {
      x: points.value.map((each) => 100 * each.share),
      y: points.value.map((each) => each.paS),
      error_y: {
        type: 'data',
        symmetric: false,
        array: points.value.map((each) => each.paS * (Math.exp(each.sdLn) - 1)),
        arrayminus: points.value.map((each) => each.paS * (1 - Math.exp(-each.sdLn))),
        color: palette.inkSoft,
        thickness: 1,
      },
      mode: 'markers',
      name: 'readings',
      marker: { color: props.cup.colorHex, size: 10, line: { color: palette.ink, width: 1.5 } },
      hovertemplate: 'read: %{y:.2f} Pa·s<extra></extra>',
    },
  ];
});

const layout = computed(() => {
  const { palette } = appearance;
  const rule = (paS: number, dash: string, color: string) => ({
    type: 'line',
    xref: 'paper',
    x0: 0,
    x1: 1,
    y0: paS,
    y1: paS,
    line: { color, width: 1, dash },
  });
  return {
    xTitle: `${thinnerName.value}, % of the mix`,
    yTitle: 'Pa·s',
    logY: true,
    ticks: STAGES.filter((stage) => stage.fromPaS > 0).map((stage) => stage.fromPaS),
    shapes: [
      ...STAGES.filter((stage) => stage.fromPaS > 0).map((stage) => rule(stage.fromPaS, 'dot', palette.rule)),
      rule(props.targetPaS, 'dash', palette.brass),
      {
        type: 'line',
        yref: 'paper',
        y0: 0,
        y1: 1,
        x0: 100 * now.value,
        x1: 100 * now.value,
        line: { color: palette.inkSoft, width: 1 },
      },
    ],
  };
});

onMounted(async () => {
  const { plotInto } = await import('#drawing/plot.ts');
  if (frame.value) plotting = plotInto(frame.value);
  plotting?.draw(data.value, layout.value, appearance.palette);
});
watch([data, layout], () => plotting?.draw(data.value, layout.value, appearance.palette));
useResizeObserver(frame, () => plotting?.resize());
onBeforeUnmount(() => plotting?.close());

const spoken = computed(() => {
  const at = (share: number) => curve.value.find((each) => each.share >= share)?.viscosityPaS.toPrecision(2);
  return `Thickness against ${thinnerName.value}: ${at(0)} pascal seconds without, ${at(0.2)} at 20 percent, ${at(0.4)} at 40 percent; ${points.value.length} readings.`;
});
</script>

<template>
  <section class="curve" aria-label="How it thins">
    <p v-if="thinnerIndex < 0" class="soft">Nothing in this cup thins it. Choose what to thin it with.</p>
    <div v-show="thinnerIndex >= 0" ref="frame" class="plot" role="img" :aria-label="spoken"></div>
  </section>
</template>

<style scoped>
.curve {
  min-height: 160px;
}

.plot {
  width: 100%;
  height: 100%;
  min-height: 160px;
}
</style>
