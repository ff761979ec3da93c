<script setup lang="ts">
import { computed, useId } from 'vue';
import { BESIDE_PX, drawLayers, LABEL_PX, levelCm, OVER_PX, type CupLayer, type CupShape } from './cup.ts';

const props = withDefaults(
  defineProps<{
    shape: CupShape;
    layers: readonly CupLayer[];
    pxPerCm: number;
    title: string;
    /** Where grams and names stand: a small cup has them over its brim, a smaller one none. */
    labels?: 'beside' | 'over' | 'none';
    /** A line to fill up to, in ml from the bottom. */
    targetMl?: number | undefined;
    show?: (mg: number) => string;
  }>(),
  { labels: 'beside', targetMl: undefined, show: (mg: number) => `${(mg / 1000).toFixed(1)} g` },
);

const PAD = 4;
const hatch = useId();

const width = computed(() => 2 * props.shape.topRadiusCm * props.pxPerCm);
const height = computed(() => props.shape.heightCm * props.pxPerCm);
const layers = computed(() => drawLayers(props.shape, props.layers, props.pxPerCm));
const inset = computed(() => (props.shape.topRadiusCm - props.shape.bottomRadiusCm) * props.pxPerCm);
const outline = computed(
  () => `M0 0L${inset.value} ${height.value}L${width.value - inset.value} ${height.value}L${width.value} 0`,
);
const targetY = computed(() =>
  props.targetMl === undefined
    ? undefined
    : height.value - levelCm(props.shape, props.targetMl) * props.pxPerCm,
);
const total = computed(() => {
  if (props.labels === 'none') return width.value;
  return props.labels === 'beside' ? width.value + BESIDE_PX : Math.max(width.value, OVER_PX);
});
const over = computed(() => (props.labels === 'over' ? layers.value.length * LABEL_PX + 4 : 0));
</script>

<template>
  <svg
    :viewBox="`${-PAD} ${-PAD - over} ${total + 2 * PAD} ${height + over + 2 * PAD}`"
    :width="total + 2 * PAD"
    :height="height + over + 2 * PAD"
    role="img"
    :aria-label="title"
  >
    <defs>
      <pattern :id="hatch" width="6" height="6" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
        <line x1="0" y1="0" x2="0" y2="6" stroke="var(--ink)" stroke-width="1.2" stroke-opacity="0.55" />
      </pattern>
    </defs>
    <g v-for="(layer, index) in layers" :key="`${layer.id}-${layer.state}`">
      <path
        :d="layer.path"
        :fill="layer.colorHex"
        :fill-opacity="layer.state === 'in' ? 1 : 0.35"
        class="layer"
      />
      <path v-if="layer.state === 'toCome'" :d="layer.path" :fill="`url(#${hatch})`" />
      <path
        v-if="labels === 'beside'"
        class="leader"
        :d="`M${layer.edgeX + 1} ${layer.middleY}L${width + 4} ${layer.labelY}`"
      />
      <text
        :x="labels === 'beside' ? width + 7 : 0"
        :y="labels === 'beside' ? layer.labelY + 4 : -8 - index * LABEL_PX"
      >
        <tspan class="grams">{{ show(layer.mg) }}</tspan>
        <tspan class="role" dx="3">{{ layer.role }}</tspan>
      </text>
    </g>
    <path class="outline" :d="outline" />
    <line v-if="targetY !== undefined" class="target" x1="-4" :x2="width + 4" :y1="targetY" :y2="targetY" />
  </svg>
</template>

<style scoped>
svg {
  display: block;
  max-width: 100%;
  overflow: visible;
}

.layer {
  stroke: var(--ink-soft);
  stroke-opacity: 0.6;
  stroke-width: var(--paint-edge);
}

.outline {
  fill: none;
  stroke: var(--ink-soft);
  stroke-width: 1.5;
  stroke-linejoin: round;
  stroke-linecap: round;
}

.leader {
  stroke: var(--ink-soft);
  stroke-width: 0.75;
  fill: none;
}

.grams {
  font-size: var(--type-note);
  fill: var(--ink);
}

.role {
  font-size: var(--type-note);
  fill: var(--ink-soft);
}

.target {
  stroke: var(--brass);
  stroke-width: 2;
  stroke-dasharray: 7 4;
}
</style>
