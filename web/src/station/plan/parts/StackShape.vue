<script setup lang="ts">
import type { PlanStack } from '@icy-ribbon/core/piece/plan';
import { computed } from 'vue';
import { Circle, Line } from 'vue-konva';
import { stackDisks, type PlanContext } from '#drawing/plan.ts';
import { puddleOutline } from '#drawing/puddle.ts';
import { useAppearance } from '#store/appearance.ts';

/** A puddle pile from above; the dashed ring is as far as its flower shall reach. */
const props = defineProps<{
  stack: PlanStack;
  context: PlanContext;
  chosen: boolean;
  /** Millimeters of one pixel. */
  px: number;
}>();
const appearance = useAppearance();
const disks = computed(() => stackDisks(props.context, props.stack));
</script>

<template>
  <Circle
    :config="{
      ...stack.at,
      radius: stack.footprintMm / 2,
      stroke: chosen ? appearance.palette.ink : appearance.palette.inkSoft,
      strokeWidth: (chosen ? 2.5 : 1.25) * px,
      dash: [6 * px, 5 * px],
      fillEnabled: false,
      hitStrokeWidth: 14 * px,
    }"
  />
  <Line
    v-for="(disk, index) in disks"
    :key="index"
    :config="{
      points: puddleOutline(disk.at.x, disk.at.y, disk.radiusMm).flat(),
      closed: true,
      tension: 0.3,
      fill: disk.colorHex,
      stroke: appearance.palette.ink,
      strokeWidth: (chosen && index === 0 ? 2 : 0.6) * px,
    }"
  />
  <Circle
    v-if="disks.length === 0"
    :config="{ ...stack.at, radius: 12 * px, stroke: appearance.palette.inkSoft, strokeWidth: 2 * px }"
  />
</template>
