<script setup lang="ts">
import type { PlanLayer, PlanStack, StackWay } from '@icy-ribbon/core/piece/plan';
import BareSelect from '#field/BareSelect.vue';
import QuantityField from '#field/QuantityField.vue';
import LayerList from './LayerList.vue';
import PlaceFields from './PlaceFields.vue';
import { typedWithin } from './typed.ts';

/** A stack in numbers: its layers, where it stands, how wide its flower is to be. */
const props = defineProps<{ item: PlanStack }>();
const emit = defineEmits<{ change: [changes: Partial<PlanStack>]; another: [] }>();

const WAY_OPTIONS: { value: StackWay; label: string }[] = [
  { value: 'puddles', label: 'puddle on puddle' },
  { value: 'ring', label: 'from one cup, in rings' },
  { value: 'cup', label: 'one cup, turned over and lifted' },
];
const setLayers = (layers: readonly PlanLayer[]) => emit('change', { layers });

function setNumber(key: 'footprintMm', typed: number | null, limits: readonly [number, number]): void {
  const value = typedWithin(typed, props.item[key], limits);
  if (value !== null) emit('change', { [key]: value });
}
</script>

<template>
  <div class="fields stacked">
    <BareSelect
      label="How it is laid"
      :value="item.way ?? 'puddles'"
      :options="WAY_OPTIONS"
      @update:value="emit('change', { way: $event as StackWay })"
    />
    <LayerList :item="item" stacked @change="setLayers" @another="emit('another')" />
    <div class="grid stacked">
      <PlaceFields :at="item.at" @change="emit('change', { at: $event })" />
      <QuantityField
        label="Flower, across"
        quantity="length"
        :model-value="item.footprintMm"
        @commit="setNumber('footprintMm', $event, [5, 5000])"
      />
    </div>
  </div>
</template>

<style scoped>
.grid {
  grid-template-columns: repeat(3, minmax(0, 1fr));
}
</style>
