<script setup lang="ts">
import type { PieceSummary } from '@icy-ribbon/contract';
import { stageOf } from '@icy-ribbon/core/paint/stage';
import { computed } from 'vue';
import { alongRibbon } from '#drawing/ribbon.ts';
import { useUnits } from '#store/units.ts';

/** The cups of a piece on a small ribbon, thick at the left; a bead's area follows the grams laid. */
const props = defineProps<{ mixes: PieceSummary['mixes'] }>();
const units = useUnits();

const WIDTH = 230;
const beads = computed(() => {
  const mostMg = Math.max(1, ...props.mixes.map((mix) => mix.laidMg || mix.actualMg));
  return props.mixes.map((mix) => ({
    ...mix,
    x: 12 + Math.min(1, Math.max(0, alongRibbon(mix.viscosityPaS))) * (WIDTH - 24),
    radius: 4 + 7 * Math.sqrt((mix.laidMg || mix.actualMg) / mostMg),
    words: `${mix.name}, ${stageOf(mix.viscosityPaS).name}, ${units.show('mass', mix.laidMg || mix.actualMg)}`,
  }));
});
const names = computed(() => props.mixes.map((mix) => mix.name).join(', '));
</script>

<template>
  <svg
    :width="WIDTH"
    height="28"
    :viewBox="`0 0 ${WIDTH} 28`"
    role="img"
    :aria-label="beads.map((bead) => bead.words).join('; ')"
  >
    <path :d="`M2 4C90 4 120 10 ${WIDTH - 2} 12V16C120 18 90 24 2 24Z`" class="band" />
    <circle
      v-for="bead in [...beads].sort((a, b) => b.radius - a.radius)"
      :key="bead.id"
      :cx="bead.x"
      cy="14"
      :r="bead.radius"
      :fill="bead.colorHex"
      :fill-opacity="bead.phase === 'mixed' ? 1 : 0.35"
    >
      <title>{{ bead.words }}</title>
    </circle>
  </svg>
  <p class="soft">{{ names || 'no cups yet' }}</p>
</template>

<style scoped>
svg {
  display: block;
}

.band {
  fill: var(--ice);
}

circle {
  stroke: var(--ink);
  stroke-width: var(--paint-edge);
}

p {
  font-size: var(--type-note);
  line-height: 1.3;
}
</style>
