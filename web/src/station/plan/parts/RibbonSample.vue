<script setup lang="ts">
import { baseAreas } from '@icy-ribbon/core/piece/amount';
import { InputError } from '@icy-ribbon/core/base/error';
import type { PlanPath } from '@icy-ribbon/core/piece/plan';
import { useElementSize } from '@vueuse/core';
import { computed, ref } from 'vue';
import { pathBands, RIBBON_MM } from '#drawing/plan.ts';
import { usePiece } from '#store/piece/piece.ts';
import { usePlan } from '#store/plan/plan.ts';
import { useUnits } from '#store/units.ts';
import { useMeasures } from '#words/useMeasures.ts';

/** A cut across a ribbon: its colors side by side on the film of base, widths and heights each to a scale of their own. */
const props = defineProps<{ path: PlanPath }>();

const plan = usePlan();
const store = usePiece();
const units = useUnits();
const measures = useMeasures();
const frame = ref<HTMLElement | null>(null);
const { width, height } = useElementSize(frame);

const BASE_SHARE = 1.25;
const PAD_PX = 32;
const LABEL_PX = 38;

const baseMm = computed(() => {
  const { base } = plan.body;
  if (!base || !store.piece) return 0;
  try {
    return baseAreas(store.piece.support, base, plan.paints)[0]?.filmMm ?? 0;
  } catch (error) {
    if (error instanceof InputError) return 0;
    throw error;
  }
});
const baseHex = computed(() => plan.paint(plan.body.base?.areas[0]?.cupId ?? '')?.colorHex ?? 'none');

const bands = computed(() => {
  if (!store.piece) return [];
  const context = {
    plan: plan.body,
    support: store.piece.support,
    paints: plan.paints,
    blowers: plan.blowers,
  };
  let fromMm = 0;
  return pathBands(context, props.path).map((band, index) => {
    const layer = props.path.layers[index]!;
    const at = fromMm;
    fromMm += band.widthMm;
    return { ...band, fromMm: at, name: plan.paint(layer.cupId)?.name ?? 'gone', massG: layer.massG ?? 0 };
  });
});
const acrossMm = computed(() => bands.value.reduce((sum, { widthMm }) => sum + widthMm, 0));
const box = computed(() => ({
  width: Math.max(80, width.value - 2 * PAD_PX),
  height: Math.max(40, height.value - 2 * PAD_PX - LABEL_PX * bands.value.length),
}));
const pxPerMmAcross = computed(() => box.value.width / (BASE_SHARE * Math.max(1, acrossMm.value)));
const pxPerMmUp = computed(() => Math.min(40, box.value.height / (baseMm.value + RIBBON_MM + 0.4)));
const floor = computed(() => PAD_PX + (baseMm.value + RIBBON_MM) * pxPerMmUp.value);

/** A band as it stands: flat, with round shoulders. */
function bandPath(fromMm: number, widthMm: number): string {
  const left =
    PAD_PX + ((BASE_SHARE - 1) / 2) * acrossMm.value * pxPerMmAcross.value + fromMm * pxPerMmAcross.value;
  const right = left + widthMm * pxPerMmAcross.value;
  const foot = floor.value - baseMm.value * pxPerMmUp.value;
  const top = foot - RIBBON_MM * pxPerMmUp.value;
  const round = Math.min((right - left) / 2, 8);
  return `M${left} ${foot}V${top + round}Q${left} ${top} ${left + round} ${top}H${right - round}Q${right} ${top} ${right} ${top + round}V${foot}Z`;
}
</script>

<template>
  <div ref="frame" class="ribbon-sample">
    <p class="soft small">
      {{ measures.depth(RIBBON_MM) }} of color{{ baseMm > 0 ? ` on ${measures.depth(baseMm)} of base` : '' }},
      a cut across
    </p>
    <svg
      :width="width"
      :height="height"
      role="img"
      :aria-label="`Across the ribbon: ${measures.distance(acrossMm)} of ${bands.length} colors`"
    >
      <rect
        v-if="baseMm > 0"
        :x="PAD_PX"
        :y="floor - baseMm * pxPerMmUp"
        :width="box.width"
        :height="baseMm * pxPerMmUp"
        :fill="baseHex"
        class="layer"
      />
      <path
        v-for="(band, index) in bands"
        :key="index"
        :d="bandPath(band.fromMm, band.widthMm)"
        :fill="band.colorHex"
        class="layer"
      />
      <line class="floor" :x1="PAD_PX" :x2="PAD_PX + box.width" :y1="floor" :y2="floor" />
      <g
        v-for="(band, index) in bands"
        :key="`label ${index}`"
        :transform="`translate(${PAD_PX} ${floor + 22 + index * 24})`"
      >
        <rect width="12" height="12" y="-10" :fill="band.colorHex" class="layer" />
        <text x="20">
          {{ band.name }}
          <tspan class="soft-text">
            {{ measures.distance(band.widthMm) }} wide, {{ units.show('mass', band.massG * 1000) }}
          </tspan>
        </text>
      </g>
    </svg>
  </div>
</template>

<style scoped>
.ribbon-sample,
svg {
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

text {
  fill: var(--ink);
  font-size: var(--type-note);
}

.soft-text {
  fill: var(--ink-soft);
  font-size: var(--type-note);
}
</style>
