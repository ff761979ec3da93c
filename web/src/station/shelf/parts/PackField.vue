<script setup lang="ts">
import { RadioButton, RadioGroup } from 'ant-design-vue';
import { computed, ref } from 'vue';
import QuantityField from '#field/QuantityField.vue';
import { useUnits } from '#store/units.ts';

/** What a pack holds, typed by weight or by volume as its label says; it is kept by weight. */
const props = defineProps<{ densityGPerMl: number; error: string | undefined }>();
const packMg = defineModel<number | null>({ required: true });

const units = useUnits();
const by = ref<'mass' | 'volume'>('mass');
const MG = 1000;
const volumeMl = computed({
  get: () => (packMg.value === null ? null : packMg.value / MG / props.densityGPerMl),
  set: (ml) => (packMg.value = ml === null ? null : Math.round(ml * props.densityGPerMl * MG)),
});
</script>

<template>
  <div class="pack stacked gap-4">
    <QuantityField
      v-if="by === 'mass'"
      v-model="packMg"
      label="A pack holds"
      quantity="mass"
      :error="error"
    />
    <QuantityField v-else v-model="volumeMl" label="A pack holds" quantity="volume" :error="error" />
    <RadioGroup v-model:value="by" name="pack-by" size="small" aria-label="The pack says weight or volume">
      <RadioButton value="mass">{{ units.unitLabel('mass') }}</RadioButton>
      <RadioButton value="volume">{{ units.unitLabel('volume') }}</RadioButton>
    </RadioGroup>
  </div>
</template>
