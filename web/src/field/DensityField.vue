<script setup lang="ts">
import { computed } from 'vue';
import { useMeasures } from '../words/useMeasures.ts';
import NumberField from './NumberField.vue';

/** A density, typed in the units that are chosen and kept in g/ml. */
defineProps<{ label: string }>();
const gPerMl = defineModel<number | null>({ required: true });

const measures = useMeasures();
const EXACT = 9;
const factor = computed(() => Number(measures.value.densityNumber(1, EXACT)));
const shown = computed({
  get: () => (gPerMl.value === null ? null : gPerMl.value * factor.value),
  set: (next) => (gPerMl.value = next === null ? null : Math.round((1e4 * next) / factor.value) / 1e4),
});
</script>

<template>
  <NumberField v-model="shown" :label="label" :unit="measures.densityUnit" :digits="3" />
</template>
