<script setup lang="ts">
import { curvePlaces, type PlanPath } from '@icy-ribbon/core/piece/plan';
import { computed } from 'vue';
import { Line } from 'vue-konva';
import { pathBands, type PlanContext } from '#drawing/plan.ts';
import { useAppearance } from '#store/appearance.ts';

/** Paint laid along a line, its colors side by side as wide as their grams make them. */
const props = defineProps<{ path: PlanPath; context: PlanContext; chosen: boolean; px: number }>();
const appearance = useAppearance();
const bands = computed(() => pathBands(props.context, props.path));
const middle = computed(() => curvePlaces(props.path, 24).flatMap(({ x, y }) => [x, y]));
</script>

<template>
  <Line
    v-for="(band, index) in bands"
    :key="index"
    :config="{
      points: band.places.flatMap(({ x, y }) => [x, y]),
      stroke: band.colorHex,
      strokeWidth: band.widthMm,
      opacity: path.kind === 'flood' ? 0.55 : 1,
      lineCap: 'round',
      lineJoin: 'round',
    }"
  />
  <Line
    :config="{
      points: middle,
      stroke: appearance.palette.ink,
      strokeWidth: (chosen ? 2.5 : 0.8) * px,
      dash: path.kind === 'flood' || bands.length === 0 ? [7 * px, 5 * px] : [],
      hitStrokeWidth: 18 * px,
    }"
  />
</template>
