<script setup lang="ts">
import type { Place } from '@icy-ribbon/core/piece/plan';
import QuantityField from '#field/QuantityField.vue';
import { FARTHEST_MM, typedWithin } from './typed.ts';

/** A place on the support in numbers. */
const props = defineProps<{ at: Place }>();
const emit = defineEmits<{ change: [at: Place] }>();

const AXES = [
  ['x', 'From the left'],
  ['y', 'From the top'],
] as const;

function set(axis: 'x' | 'y', mm: number | null): void {
  const value = typedWithin(mm, props.at[axis], FARTHEST_MM);
  if (value !== null) emit('change', { ...props.at, [axis]: value });
}
</script>

<template>
  <QuantityField
    v-for="[axis, label] in AXES"
    :key="axis"
    :label="label"
    quantity="length"
    :model-value="at[axis]"
    @commit="set(axis, $event)"
  />
</template>
