<script setup lang="ts">
import { useElementSize } from '@vueuse/core';
import { computed, ref } from 'vue';
import { LABEL_SPACE } from '../../../drawing/cup.ts';
import { shapeOf } from '../../../drawing/cupLayers.ts';
import type { Cup } from '../../../store/piece/piece.ts';
import CupColumn from './CupColumn.vue';

const props = defineProps<{ cups: readonly Cup[] }>();

const CAPTION_PX = 168;
const GAP_PX = 16;
const LEAST_PX_PER_CM = 9;
const MOST_PX_PER_CM = 30;

const row = ref<HTMLElement | null>(null);
const { height, width } = useElementSize(row);

/** One scale for all cups: the tallest fits the row's height, all of them its width if they can. */
const pxPerCm = computed(() => {
  const shapes = props.cups.map(shapeOf);
  const tallestCm = Math.max(1, ...shapes.map((shape) => shape.heightCm));
  const widthsCm = shapes.reduce((sum, shape) => sum + 2 * shape.topRadiusCm, 0);
  const labelsPx = LABEL_SPACE.words + (props.cups.length - 1) * LABEL_SPACE.grams;
  const byHeight = (height.value - CAPTION_PX) / tallestCm;
  const byWidth = (width.value - 60 - labelsPx - props.cups.length * GAP_PX) / Math.max(1, widthsCm);
  return Math.min(MOST_PX_PER_CM, Math.max(LEAST_PX_PER_CM, Math.min(byHeight, byWidth)));
});
</script>

<template>
  <ul ref="row" class="row">
    <li v-for="(cup, index) in cups" :key="cup.mix.id">
      <CupColumn :cup="cup" :px-per-cm="pxPerCm" :labels="index === 0 ? 'words' : 'grams'" />
    </li>
    <li v-if="cups.length === 0" class="empty">
      <p class="soft">
        Set an amount below, then click a color on the shelf: each click puts a cup on the bench with the
        grams of every ingredient.
      </p>
    </li>
  </ul>
</template>

<style scoped>
.row {
  display: flex;
  align-items: flex-end;
  gap: 16px;
  margin: 0;
  padding: 0 24px 8px;
  overflow: auto;
  list-style: none;
  min-height: 0;
}

.empty {
  align-self: center;
  max-width: 460px;
  font-size: 17px;
}
</style>
