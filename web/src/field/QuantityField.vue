<script setup lang="ts">
import { computed } from 'vue';
import { useUnits } from '../store/units.ts';
import type { ShownQuantity } from '../store/unitChoices.ts';
import NumberField from './NumberField.vue';

const props = defineProps<{
  label: string;
  quantity: ShownQuantity;
  error?: string | undefined;
  hint?: string | undefined;
  disabled?: boolean;
  bare?: boolean;
  autofocus?: boolean;
}>();

/** In the stored unit (mg, ml, mm, °C); `null` while the field is empty or holds no number. */
const value = defineModel<number | null>({ required: true });
const emit = defineEmits<{ commit: [value: number | null] }>();

const units = useUnits();

const inUnit = (stored: number | null) => (stored === null ? null : units.fromBase(props.quantity, stored));

/** Weights are whole milligrams; lengths keep a hundredth of a millimeter. */
const stored = (shown: number | null) => {
  if (shown === null) return null;
  const base = units.toBase(props.quantity, shown);
  return props.quantity === 'mass' ? Math.round(base) : Math.round(base * 100) / 100;
};

const shown = computed({
  get: () => inUnit(value.value),
  set: (next) => {
    value.value = stored(next);
  },
});
</script>

<template>
  <NumberField
    v-model="shown"
    :label="label"
    :unit="units.unitLabel(quantity)"
    :digits="units.digits(quantity, true)"
    :error="error"
    :hint="hint"
    :disabled="disabled"
    :bare="bare"
    :autofocus="autofocus"
    @commit="emit('commit', stored($event))"
  />
</template>
