<script setup lang="ts">
import { computed } from 'vue';
import NumberField from './NumberField.vue';
import { useMoney } from '../store/money.ts';

/** An amount of money, typed in whole units and kept in cents. */
defineProps<{ label: string; error?: string | undefined; hint?: string | undefined }>();
const cents = defineModel<number | null>({ required: true });

const money = useMoney();
const shown = computed({
  get: () => (cents.value === null ? null : cents.value / 100),
  set: (next) => (cents.value = next === null ? null : Math.round(100 * next)),
});
</script>

<template>
  <NumberField v-model="shown" :label="label" :unit="money.currency" :error="error" :hint="hint" />
</template>
