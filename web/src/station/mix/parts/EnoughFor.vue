<script setup lang="ts">
import { MOST_COLORS } from '@icy-ribbon/contract';
import { computed } from 'vue';
import ComputedFrom from '#field/ComputedFrom.vue';
import NumberField from '#field/NumberField.vue';
import { attempt } from '#notice/useTask.ts';
import { useNeeds } from '#store/needs.ts';
import { usePiece } from '#store/piece/piece.ts';
import { useUnits } from '#store/units.ts';
import { needWords } from '#words/need.ts';
import { useMeasures } from '#words/useMeasures.ts';
import { supportWords } from '#words/support.ts';

/** How big the cups are to be for the support in hand, and for how many colors; what is not weighed in yet follows. */
const needs = useNeeds();
const store = usePiece();
const units = useUnits();
const measures = useMeasures();

const words = computed(() => needWords(needs.needed, measures.value.mass));
const size = computed(() => store.piece && supportWords(store.piece.support, units));

function setColors(typed: number | null): void {
  if (typed === null || typed === needs.colors) return;
  const colors = Math.min(MOST_COLORS, Math.max(1, Math.round(typed)));
  void attempt(() => needs.refitting(() => store.setColors(colors)));
}
</script>

<template>
  <div class="enough">
    <p class="small">
      Enough for {{ size }}: {{ words }}
      <ComputedFrom calculation="amounts" />
    </p>
    <NumberField
      class="colors"
      bare
      label="Colors of the piece"
      unit="colors"
      :digits="0"
      :model-value="needs.colors"
      @commit="setColors"
    />
  </div>
</template>

<style scoped>
.enough {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 4px 12px;
  margin-top: 4px;
}

.colors {
  width: 96px;
}

.colors :deep(.ant-input-affix-wrapper) {
  padding-block: 0;
  min-height: 28px;
  font-size: var(--type-note);
}
</style>
