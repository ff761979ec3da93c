<script setup lang="ts">
import { useElementSize } from '@vueuse/core';
import { computed, ref } from 'vue';
import CupDrawing from '#drawing/CupDrawing.vue';
import { layersOf, shapeOf } from '#drawing/cupLayers.ts';
import type { Cup } from '#store/piece/piece.ts';
import { useUnits } from '#store/units.ts';
import { useIsPhone } from '#store/viewport.ts';
import { millilitersWith, withOnTop } from './onTop.ts';

/** The cup as it fills: what is in it, what lies on the scale right now, and where the surface shall stand. */
const props = defineProps<{
  cup: Cup;
  /** Milligrams by ingredient that lie on the scale now. */
  onScale: Readonly<Record<string, number>>;
  /** Milligrams by ingredient of the whole step; null when nothing is left to do. */
  step: Readonly<Record<string, number>> | null;
}>();

const MARGIN_PX = 24;
const LABELS_PX = 110;
const LEAST_PX_PER_CM = 10;

const units = useUnits();
const isPhone = useIsPhone();
const vessel = ref<HTMLElement | null>(null);
const { height, width } = useElementSize(vessel);
const shape = computed(() => shapeOf(props.cup));
const pxPerCm = computed(() => {
  const byHeight = (height.value - MARGIN_PX) / shape.value.heightCm;
  const byWidth =
    (width.value - (isPhone.value ? 2 * LEAST_PX_PER_CM : LABELS_PX)) / (2 * shape.value.topRadiusCm);
  return Math.max(LEAST_PX_PER_CM, Math.min(byHeight, byWidth));
});
const layers = computed(() => layersOf(withOnTop(props.cup, props.onScale)));
const targetMl = computed(() => props.step && millilitersWith(props.cup, props.step));
</script>

<template>
  <div ref="vessel" class="vessel">
    <CupDrawing
      :shape="shape"
      :layers="layers"
      :px-per-cm="pxPerCm"
      :labels="isPhone ? 'none' : 'beside'"
      :target-ml="targetMl ?? undefined"
      :title="`The cup ${cup.mix.name} as it fills`"
      :show="(mg) => units.show('mass', mg)"
    />
  </div>
</template>

<style scoped>
.vessel {
  display: grid;
  place-items: end center;
  padding: 16px 16px 0 24px;
  min-height: 0;
  overflow: hidden;
}

@media (width < 600px) {
  .vessel {
    padding: 8px 0 0 8px;
  }

  .vessel :deep(svg) {
    max-width: 100%;
    height: auto;
  }

  /* Too small to be read; the step says it. */
  .vessel :deep(text) {
    display: none;
  }
}
</style>
