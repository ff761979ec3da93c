<script setup lang="ts">
import { puddlePath } from '#drawing/puddle.ts';
import { useUnits } from '#store/units.ts';

/** A wetted board of 300 x 200 mm from above, with puddles on it, to scale. */
defineProps<{
  puddles: readonly { x: number; y: number; radiusMm: number; colorHex: string }[];
  /** Places where more will lie. */
  marks?: readonly { x: number; y: number }[];
}>();
const units = useUnits();
const BAR_MM = 100;
</script>

<template>
  <svg viewBox="0 0 600 400" role="img" aria-label="A board of 300 by 200 millimeters from above">
    <g transform="scale(2)">
      <rect width="300" height="200" class="board" />
      <path
        v-for="(mark, index) in marks ?? []"
        :key="`mark ${index}`"
        class="mark"
        :d="`M${mark.x - 4} ${mark.y}h8M${mark.x} ${mark.y - 4}v8`"
      />
      <path
        v-for="(each, index) in puddles"
        :key="index"
        :d="puddlePath(each.x, each.y, each.radiusMm)"
        :fill="each.colorHex"
      />
      <path class="bar" :d="`M10 190v-4h${BAR_MM}v4`" />
    </g>
    <text x="28" y="364">{{ units.show('length', BAR_MM) }}</text>
  </svg>
</template>

<style scoped>
svg {
  display: block;
  width: 100%;
  user-select: none;
}

.board {
  fill: var(--ice);
  stroke: var(--rule);
}

.bar,
.mark {
  fill: none;
  stroke: var(--ink-soft);
  stroke-width: 1;
}

text {
  font-size: var(--type-note);
  fill: var(--ink-soft);
}
</style>
