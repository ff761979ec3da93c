<script setup lang="ts">
import { useElementSize } from '@vueuse/core';
import { computed, ref } from 'vue';
import { shapeOf } from '../../drawing/cupLayers.ts';
import type { Cup } from '../../store/piece.ts';
import CupColumn from './CupColumn.vue';

const props = defineProps<{ cups: readonly Cup[] }>();

const CAPTION_PX = 158;
const TALLEST_PX = 240;

const row = ref<HTMLElement | null>(null);
const { height } = useElementSize(row);

/** One scale for all cups: the tallest fits the row. */
const pxPerCm = computed(() => {
  const tallestCm = Math.max(1, ...props.cups.map((cup) => shapeOf(cup).heightCm));
  const room = Math.min(TALLEST_PX, Math.max(80, height.value - CAPTION_PX));
  return Math.min(26, room / tallestCm);
});
</script>

<template>
  <ul ref="row" class="row">
    <li v-for="cup in cups" :key="cup.mix.id">
      <CupColumn :cup="cup" :px-per-cm="pxPerCm" />
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
  gap: 8px;
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
