<script setup lang="ts">
import { computed } from 'vue';

/** How near the weight is: a line of the last grams, what counts as right in the middle of it, a bead where it stands. */
const props = defineProps<{
  /** Milligrams to go, below 0 too much. */
  toGoMg: number;
  toleranceMg: number;
}>();

/** The line is so many tolerances long to each side. */
const REACH = 5;

const place = (mg: number) => 50 + (50 * Math.max(-REACH, Math.min(REACH, mg / props.toleranceMg))) / REACH;
const bead = computed(() => place(-props.toGoMg));
const band = { from: 50 - 50 / REACH, width: 100 / REACH } as const;
</script>

<template>
  <div class="near" aria-hidden="true">
    <span class="band" :style="{ left: `${band.from}%`, width: `${band.width}%` }"></span>
    <span class="target"></span>
    <span class="bead" :style="{ left: `${bead}%` }"></span>
  </div>
</template>

<style scoped>
.near {
  position: relative;
  max-width: 480px;
  height: 24px;
  margin: 8px 0 12px;
  border-bottom: 2px solid var(--edge);
}

.near > * {
  position: absolute;
  bottom: 0;
}

.band {
  height: 16px;
  background: var(--ice-deep);
  border: solid var(--ink);
  border-width: 0 1px;
}

.target {
  left: 50%;
  width: 4px;
  height: 24px;
  margin-left: -2px;
  background: var(--brass);
}

.bead {
  width: 16px;
  height: 16px;
  transform: translate(-50%, 9px);
  background: var(--ink);
  border: 2px solid var(--bench);
  border-radius: 50%;
}
</style>
