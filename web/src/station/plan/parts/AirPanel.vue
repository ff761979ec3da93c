<script setup lang="ts">
import {
  AIR_TOOLS,
  airBounds,
  airTool,
  deepDentMm,
  jetOnPaint,
  middleUnder,
  type AirTool,
} from '@icy-ribbon/core/flow/air';
import { depthAndDensity } from '@icy-ribbon/core/piece/check';
import { InputError } from '@icy-ribbon/core/base/error';
import { blownAs, distanceMm, usualPass, type Blowing, type PlanStack } from '@icy-ribbon/core/piece/plan';
import { carriedMm } from '@icy-ribbon/core/piece/rehearse';
import { Button } from 'ant-design-vue';
import { sampleLayers, type SampleMoment } from '@icy-ribbon/core/piece/stack';
import { useElementSize } from '@vueuse/core';
import { computed, onBeforeUnmount, ref, watch } from 'vue';
import ComputedFrom from '#field/ComputedFrom.vue';
import BareSelect from '#field/BareSelect.vue';
import type { Plotting } from '#drawing/plot.ts';
import { useAppearance } from '#store/appearance.ts';
import { useEquipment } from '#store/equipment.ts';
import { MIDDLE_WORDS } from '#words/air.ts';
import { newId, usePlan } from '#store/plan/plan.ts';
import { useUnits } from '#store/units.ts';
import { useMeasures } from '#words/useMeasures.ts';

/** For each blower: how near and how steep it may come, how far a pass carries, what the middle looks like. */
const props = defineProps<{ stack: PlanStack | undefined }>();

const plan = usePlan();
const equipment = useEquipment();
const units = useUnits();
const measures = useMeasures();
const appearance = useAppearance();

const SECONDS = 3;
const SLANTS = [90, 60, 40, 25, 15];
/** Without a stack: a pillow of usual depth and weight. */
const USUAL = { depthMm: 5, densityGPerMl: 1.2 };

const ground = computed(() => {
  if (!props.stack || props.stack.layers.length === 0) return { ...USUAL, layers: [], usual: true };
  try {
    const sampled = (moment: SampleMoment) =>
      sampleLayers(plan.body, props.stack!, plan.paints, { blowers: plan.blowers, moment });
    return {
      ...depthAndDensity(sampled('poured')),
      layers: sampled('blown').map(({ thicknessMm, paint }) => ({
        thicknessMm,
        viscosityPaS: paint.viscosityPaS,
      })),
      usual: false,
    };
  } catch (error) {
    if (error instanceof InputError) return { ...USUAL, layers: [], usual: true };
    throw error;
  }
});

const filmMm = computed(() => Math.min(plan.body.settings.marginMm, ground.value.depthMm * 0.9));

/** A usual pass of a blower, as the canvas would draw it. */
const passOf = ({ tool, id }: { readonly tool: AirTool; readonly id: string }) => ({
  ...usualPass('', tool, { x: 0, y: 0 }, 0, SECONDS),
  blowerId: id,
});

const rows = computed(() => {
  const { depthMm, densityGPerMl, layers } = ground.value;
  const own = equipment.blowers.map((blower) => ({
    ...airTool(blower.tool),
    id: blower.id,
    name: blower.name,
    exitDiameterMm: blower.exitDiameterMm,
    exitSpeedMS: blower.exitSpeedMS,
    trust: blower.exitTrust,
  }));
  const usual = AIR_TOOLS.filter(
    (tool) => tool.power === 'breath' && !own.some((each) => each.tool === tool.tool),
  ).map((tool) => ({
    ...tool,
    id: tool.tool as string,
    name: tool.label as string,
    trust: 'typical' as const,
  }));
  return [...usual, ...own].map((blower) => {
    const jet = {
      exitSpeedMS: blower.exitSpeedMS,
      exitDiameterMm: blower.exitDiameterMm,
      distanceMm: blower.distanceMm,
      slantDeg: 25,
      paintDensityKgM3: 1000 * densityGPerMl,
    };
    const bounds = airBounds({ ...jet, depthMm, filmMm: filmMm.value });
    const { dentMm } = jetOnPaint(jet);
    return {
      ...blower,
      ...bounds,
      middle: MIDDLE_WORDS[middleUnder(depthMm, dentMm, filmMm.value)],
      reachMm: layers.length > 0 ? carriedMm(passOf(blower), plan.blowers, layers) : null,
      straightMm: deepDentMm({ ...jet, distanceMm: Math.max(jet.distanceMm, 5 * jet.exitDiameterMm) }),
    };
  });
});

const BLOWING_LABELS: readonly (readonly [Blowing, string])[] = [
  ['petals', 'A breath a petal'],
  ['circling', 'Head circling'],
  ['blast-first', 'One blast, then around'],
];
/** The passes over this flower give way to those of the way that was chosen. */
function blow(blowing: Blowing): void {
  const { stack } = props;
  if (!stack) return;
  plan.edit((now) => ({
    ...now,
    passes: [
      ...now.passes.filter((pass) => distanceMm(pass.at, stack.at) > stack.footprintMm / 2),
      ...blownAs(blowing, stack, newId),
    ],
  }));
}

const shownId = ref('');
const shown = computed(() => rows.value.find((row) => row.id === shownId.value) ?? rows.value[0]);
const options = computed(() => rows.value.map(({ id, name }) => ({ value: id, label: name })));

const element = ref<HTMLElement | null>(null);
const { width } = useElementSize(element);
let plot: Plotting | undefined;

async function draw(): Promise<void> {
  if (!element.value || !shown.value || width.value === 0) return;
  plot ??= (await import('#drawing/plot.ts')).plotInto(element.value);
  const { exitSpeedMS, exitDiameterMm } = shown.value;
  const far = Math.max(300, 3 * shown.value.distanceMm);
  const distances = Array.from({ length: 80 }, (_, index) => 20 + ((far - 20) * index) / 79);
  const { alarm, water, ink, edge } = appearance.palette;
  const colors = [ink, water, edge];
  plot.draw(
    SLANTS.map((slantDeg, index) => ({
      x: distances.map((mm) => units.fromBase('length', mm)),
      y: distances.map(
        (distanceMm) =>
          jetOnPaint({
            exitSpeedMS,
            exitDiameterMm,
            distanceMm,
            slantDeg,
            paintDensityKgM3: 1000 * ground.value.densityGPerMl,
          }).dentMm,
      ),
      mode: 'lines',
      name: `${slantDeg}°`,
      line: { color: colors[index % colors.length], width: 2, dash: index % 2 === 0 ? 'solid' : 'dash' },
      hovertemplate: `${slantDeg}°, %{x:.1f}: dent %{y:.1f} mm<extra></extra>`,
    })),
    {
      xTitle: `distance, ${units.unitLabel('length')}`,
      yTitle: 'dent, mm',
      shapes: [
        {
          type: 'line',
          xref: 'paper',
          x0: 0,
          x1: 1,
          y0: ground.value.depthMm - filmMm.value,
          y1: ground.value.depthMm - filmMm.value,
          line: { color: alarm, width: 1.5, dash: 'dot' },
        },
      ],
      rangeY: [0, Math.max(2, 1.6 * ground.value.depthMm)],
      legend: true,
    },
    appearance.palette,
  );
}
watch([shown, ground, width, () => appearance.palette, () => units.chosen.length], () => void draw(), {
  flush: 'post',
  immediate: true,
});
onBeforeUnmount(() => plot?.close());
</script>

<template>
  <section aria-label="Air advice">
    <p class="small">
      <template v-if="ground.usual"
        >For a usual pile of {{ measures.depth(ground.depthMm) }}; put a stack down for yours.</template
      >
      <template v-else>
        {{ measures.depth(ground.depthMm) }} lie in the middle; {{ measures.depth(filmMm) }} shall stay.
      </template>
      <ComputedFrom calculation="jet" />
    </p>
    <table class="rows">
      <thead>
        <tr>
          <th>Blower</th>
          <th class="number">Nearest</th>
          <th class="number">Steepest</th>
          <th class="number">Carries</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="row in rows" :key="row.id">
          <th scope="row">{{ row.name }}</th>
          <td class="number">
            {{
              row.nearestDistanceMm === 0
                ? 'any'
                : measures.distance(Math.ceil(row.nearestDistanceMm / 10) * 10)
            }}
          </td>
          <td class="number">{{ Math.floor(row.steepestSlantDeg) }}°</td>
          <td class="number">{{ row.reachMm === null ? '' : measures.distance(row.reachMm) }}</td>
        </tr>
      </tbody>
    </table>
    <p class="soft small">
      Nearest at a slant of 25°, steepest at the usual distance, carried in {{ SECONDS }} s: estimates from
      typical exits until you measure yours.
    </p>
    <div v-if="stack" class="blowings" role="group" aria-label="Blow this flower">
      <Button v-for="[blowing, label] in BLOWING_LABELS" :key="blowing" size="small" @click="blow(blowing)">
        {{ label }}
      </Button>
    </div>
    <div class="choose">
      <span class="label" aria-hidden="true">Blower in the chart</span>
      <BareSelect
        v-model:value="shownId"
        label="Blower in the chart"
        :placeholder="shown?.name"
        :options="options"
      />
    </div>
    <p v-if="shown" class="small">
      {{ shown.name }}, usual distance, 25°: {{ shown.middle }} Straight down it digs about
      {{ shown.straightMm.toFixed(1) }} mm.
    </p>
    <div ref="element" class="chart" role="img" aria-label="Dent against distance for several slants"></div>
  </section>
</template>

<style scoped>
section {
  display: grid;
  gap: 8px;
  align-content: start;
}

.rows th,
.rows td {
  padding: 4px 6px 4px 0;
  font-size: var(--type-text);
}

.rows .number {
  white-space: nowrap;
}

.blowings {
  display: flex;
  flex-wrap: wrap;
  gap: 6px;
}

.chart {
  height: 210px;
}
</style>
