<script setup lang="ts">
import type { CoreSample } from '@icy-ribbon/core/piece/stack';
import { computed } from 'vue';
import { drawSilhouette } from '#drawing/coreSample.ts';
import { useMeasures } from '#words/useMeasures.ts';

/** A pile from the side as it stands on the support, width and height in one scale. */
const props = defineProps<{ sample: CoreSample; width: number }>();

const MOST_HIGH_PX = 44;
const PAD_PX = 4;
const RULE_PX = 24;

const measures = useMeasures();
const drawn = computed(() => drawSilhouette(props.sample, { width: props.width, height: MOST_HIGH_PX }));
const words = computed(
  () =>
    `${measures.value.distance(drawn.value.widthMm)} wide, ${measures.value.depth(drawn.value.heightMm, 1)} high, true to scale`,
);
</script>

<template>
  <svg
    :width="width"
    :height="drawn.height + RULE_PX + PAD_PX"
    role="img"
    :aria-label="`From the side: ${words}`"
  >
    <g :transform="`translate(${(width - drawn.width) / 2} ${PAD_PX})`">
      <path
        v-for="layer in drawn.layers"
        :key="layer.key"
        :d="layer.path"
        :fill="layer.colorHex"
        class="layer"
      />
      <line class="floor" x1="0" :x2="drawn.width" :y1="drawn.height" :y2="drawn.height" />
      <path class="span" :d="`M${drawn.from} ${drawn.height + 4}v6M${drawn.to} ${drawn.height + 4}v6`" />
      <text :x="drawn.width / 2" :y="drawn.height + 16" text-anchor="middle">{{ words }}</text>
    </g>
  </svg>
</template>

<style scoped>
svg {
  display: block;
}

.layer {
  stroke: var(--ink);
  stroke-width: calc(var(--paint-edge) / 2);
}

.floor {
  stroke: var(--ink);
  stroke-width: 2;
}

.span {
  fill: none;
  stroke: var(--ink-soft);
}

text {
  font-size: var(--type-note);
  fill: var(--ink-soft);
}
</style>
