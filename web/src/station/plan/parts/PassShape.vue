<script setup lang="ts">
import type { PlanPass } from '@icy-ribbon/core/piece/plan';
import { computed } from 'vue';
import { Arrow, Circle, Text } from 'vue-konva';
import { tipOf, type PlanContext } from '../../../drawing/plan.ts';
import { useAppearance } from '../../../store/appearance.ts';

/** A blowing pass: from where the air lands, as far as it carries the paint, with its number. */
const props = defineProps<{
  pass: PlanPass;
  number: number;
  context: PlanContext;
  chosen: boolean;
  px: number;
}>();
const appearance = useAppearance();
const arrow = computed(() => {
  const tip = tipOf(props.context, props.pass);
  const { x, y } = props.pass.at;
  return { points: [x, y, tip.x, tip.y], tip };
});
</script>

<template>
  <Arrow
    :config="{
      points: arrow.points,
      stroke: appearance.palette.bench,
      fill: appearance.palette.bench,
      strokeWidth: 6 * px,
      pointerLength: 10 * px,
      pointerWidth: 11 * px,
      opacity: 0.85,
      lineCap: 'round',
      hitStrokeWidth: 20 * px,
    }"
  />
  <Arrow
    :config="{
      points: arrow.points,
      stroke: chosen ? appearance.palette.brass : appearance.palette.ink,
      fill: chosen ? appearance.palette.brass : appearance.palette.ink,
      strokeWidth: (chosen ? 3.5 : 2) * px,
      pointerLength: 8 * px,
      pointerWidth: 8 * px,
      lineCap: 'round',
      listening: false,
    }"
  />
  <Circle
    :config="{
      ...arrow.tip,
      radius: 9 * px,
      fill: appearance.palette.bench,
      stroke: chosen ? appearance.palette.brass : appearance.palette.ink,
      strokeWidth: 1.25 * px,
    }"
  />
  <Text
    :config="{
      x: arrow.tip.x - 9 * px,
      y: arrow.tip.y - 9 * px,
      width: 18 * px,
      height: 18 * px,
      text: String(number),
      align: 'center',
      verticalAlign: 'middle',
      fontSize: 11.5 * px,
      fontFamily: 'Figtree Variable, system-ui, sans-serif',
      fill: appearance.palette.ink,
      listening: false,
    }"
  />
</template>
