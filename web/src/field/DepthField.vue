<script setup lang="ts">
import { convert } from '@icy-ribbon/core/base/unit';
import { computed } from 'vue';
import { useUnits } from '../store/units.ts';
import NumberField from './NumberField.vue';

/** Millimeters of paint, or of a cell; inches for who reads lengths in inches. */
defineProps<{ label: string; error?: string | undefined; hint?: string | undefined }>();
const value = defineModel<number | null>({ required: true });
const emit = defineEmits<{ commit: [mm: number | null] }>();

const units = useUnits();
const unit = computed(() => (units.chosen.length === 'in' ? 'in' : 'mm'));
/** A hundredth of a millimeter is kept. */
const stored = (shown: number | null) =>
  shown === null ? null : Math.round(convert(shown, unit.value, 'mm') * 100) / 100;

const shown = computed({
  get: () => (value.value === null ? null : convert(value.value, 'mm', unit.value)),
  set: (next) => {
    value.value = stored(next);
  },
});
</script>

<template>
  <NumberField
    v-model="shown"
    :label="label"
    :unit="unit"
    :digits="unit === 'in' ? 3 : 2"
    :error="error"
    :hint="hint"
    @commit="emit('commit', stored($event))"
  />
</template>
