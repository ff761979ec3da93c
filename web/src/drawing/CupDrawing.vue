<script setup lang="ts">
import { computed, useId } from 'vue';
import { drawLayers, LABEL_SPACE, levelCm, type CupLayer, type CupShape } from './cup.ts';

const props = withDefaults(
  defineProps<{
    shape: CupShape;
    layers: readonly CupLayer[];
    pxPerCm: number;
    title: string;
    labels?: 'grams' | 'words';
    /** A line to fill up to, in ml from the bottom. */
    targetMl?: number | undefined;
    show?: (mg: number) => string;
  }>(),
  { labels: 'words', targetMl: undefined, show: (mg: number) => `${(mg / 1000).toFixed(1)} g` },
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
const total = computed(() => width.value + LABEL_SPACE[props.labels]);
</script>

<template>
  <svg
    :viewBox="`${-PAD} ${-PAD} ${total + 2 * PAD} ${height + 2 * PAD}`"
    :width="total + 2 * PAD"
    :height="height + 2 * PAD"
    role="img"
    :aria-label="title"
  >
    <defs>
      <pattern :id="hatch" width="6" height="6" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
        <line x1="0" y1="0" x2="0" y2="6" stroke="var(--ink)" stroke-width="1.2" stroke-opacity="0.55" />
      </pattern>
    </defs>
    <g v-for="layer in layers" :key="`${layer.id}-${layer.state}`">
      <path
        :d="layer.path"
        :fill="layer.colorHex"
        :fill-opacity="layer.state === 'in' ? 1 : 0.35"
        class="layer"
      />
      <path v-if="layer.state === 'toCome'" :d="layer.path" :fill="`url(#${hatch})`" />
      <path class="leader" :d="`M${layer.edgeX + 1} ${layer.middleY}L${width + 4} ${layer.labelY}`" />
      <text :x="width + 7" :y="layer.labelY + 4">
        <tspan class="grams">{{ show(layer.mg) }}</tspan>
        <tspan v-if="labels === 'words'" class="role" dx="3">{{ layer.role }}</tspan>
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
  stroke-opacity: 0.25;
  stroke-width: 0.75;
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
  font-size: 13px;
  fill: var(--ink);
}

.role {
  font-size: 12px;
  fill: var(--ink-soft);
}

.target {
  stroke: var(--brass);
  stroke-width: 2;
  stroke-dasharray: 7 4;
}
</style>
