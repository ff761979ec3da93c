<script setup lang="ts">
import { useElementSize } from '@vueuse/core';
import { computed, ref } from 'vue';
import { BESIDE_PX, LABEL_PX } from '#drawing/cup.ts';
import EmptyDrawing from '#drawing/EmptyDrawing.vue';
import { shapeOf } from '#drawing/cupLayers.ts';
import type { Cup } from '#store/piece/piece.ts';
import CupColumn from './CupColumn.vue';

const props = defineProps<{ cups: readonly Cup[] }>();

const CAPTION_PX = 208;
const GAP_PX = 16;
const LEAST_PX_PER_CM = 9;
const MOST_PX_PER_CM = 34;
const SMALL = 0.75;
/** A cup of usual recipes has so many ingredients. */
const OVER_LINES = 4;

const row = ref<HTMLElement | null>(null);
const { height, width } = useElementSize(row);

const shapes = computed(() => props.cups.map(shapeOf));
const tallestCm = computed(() => Math.max(1, ...shapes.value.map(({ heightCm }) => heightCm)));
/** A cup much lower than the tallest has room for its labels over the brim. */
const placeOf = (index: number): 'beside' | 'over' =>
  shapes.value[index]!.heightCm < SMALL * tallestCm.value ? 'over' : 'beside';

/** One scale for all cups: the tallest fits the row's height, all of them its width if they can. */
const pxPerCm = computed(() => {
  const room = height.value - CAPTION_PX;
  const byHeight = Math.min(
    ...shapes.value.map(({ heightCm }, index) => {
      const labels = placeOf(index) === 'over' ? OVER_LINES * LABEL_PX + 16 : 0;
      return (room - labels) / heightCm;
    }),
  );
  const beside = props.cups.filter((_, index) => placeOf(index) === 'beside').length;
  const widthsCm = shapes.value.reduce((sum, { topRadiusCm }) => sum + 2 * topRadiusCm, 0);
  const free = width.value - 2 * 24 - beside * BESIDE_PX - props.cups.length * GAP_PX;
  const byWidth = free / Math.max(1, widthsCm);
  return Math.min(MOST_PX_PER_CM, Math.max(LEAST_PX_PER_CM, Math.min(byHeight, byWidth)));
});
</script>

<template>
  <ul ref="row" class="row abreast gap-16">
    <li v-for="(cup, index) in cups" :key="cup.mix.id">
      <CupColumn :cup="cup" :px-per-cm="pxPerCm" :labels="placeOf(index)" />
    </li>
    <li v-if="cups.length === 0">
      <EmptyDrawing kind="cups">
        Set an amount below, then click a color on the shelf: each click puts a cup on the bench with the
        grams of every ingredient.
      </EmptyDrawing>
    </li>
  </ul>
</template>

<style scoped>
.row {
  align-items: flex-end;
  padding: 0 24px 8px;
  overflow: auto;
  min-height: 0;
}

/* A tablet upright has room for a second row: every cup in sight. */
@media (width >= 600px) and (orientation: portrait) {
  .row {
    flex-wrap: wrap;
    align-content: flex-end;
  }
}
</style>
