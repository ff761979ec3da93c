<script setup lang="ts">
import type { PlanPass } from '@icy-ribbon/core/piece/plan';
import { computed } from 'vue';
import { Circle, Line, Text } from 'vue-konva';
import { airArrow } from '#drawing/airArrow.ts';
import { tipOf, type PlanContext } from '#drawing/plan.ts';
import { useAppearance } from '#store/appearance.ts';
import { FACE, TYPE } from '#theme/tokens.ts';

/** A blowing pass: from where the air lands, as far as it carries the paint, with its number. */
const props = defineProps<{
  pass: PlanPass;
  number: number;
  context: PlanContext;
  chosen: boolean;
  px: number;
}>();
const appearance = useAppearance();
const RADIUS_PX = 10;
const tip = computed(() => tipOf(props.context, props.pass));
const arrow = computed(() => airArrow(props.pass.at, tip.value, 2 * RADIUS_PX * props.px));
const outline = computed(() => arrow.value.outline.flatMap(({ x, y }) => [x, y]));
</script>

<template>
  <Line
    :config="{
      points: outline,
      closed: true,
      fill: appearance.palette.ink,
      stroke: appearance.palette.bench,
      strokeWidth: 1.5 * px,
      hitStrokeWidth: 20 * px,
    }"
  />
  <Circle
    :config="{
      ...arrow.numberAt,
      radius: RADIUS_PX * px,
      fill: appearance.palette.bench,
      stroke: appearance.palette.ink,
      strokeWidth: (chosen ? 3 : 1) * px,
    }"
  />
  <Text
    :config="{
      x: arrow.numberAt.x - RADIUS_PX * px,
      y: arrow.numberAt.y - RADIUS_PX * px,
      width: 2 * RADIUS_PX * px,
      height: 2 * RADIUS_PX * px,
      text: String(number),
      align: 'center',
      verticalAlign: 'middle',
      fontSize: TYPE.note * px,
      fontFamily: FACE,
      fill: appearance.palette.ink,
      listening: false,
    }"
  />
</template>
