<script setup lang="ts">
import { toG } from '@icy-ribbon/core/base/unit';
import { Button, Popover } from 'ant-design-vue';
import { computed, ref } from 'vue';
import QuantityField from '#field/QuantityField.vue';
import { useMeasures } from '#words/useMeasures.ts';

/** Measures a density by weighing a filled cup of known volume. */
const emit = defineEmits<{ measured: [densityGPerMl: number] }>();

const measures = useMeasures();
const open = ref(false);
const volumeMl = ref<number | null>(30);
const emptyMg = ref<number | null>(null);
const fullMg = ref<number | null>(null);

const density = computed(() => {
  if (!volumeMl.value || emptyMg.value === null || fullMg.value === null) return null;
  const value = toG(fullMg.value - emptyMg.value) / volumeMl.value;
  return value > 0 ? value : null;
});

function take(): void {
  if (density.value === null) return;
  emit('measured', Math.round(density.value * 1000) / 1000);
  open.value = false;
}
</script>

<template>
  <Popover v-model:open="open" trigger="click" placement="top" title="Density by weighing a filled cup">
    <template #content>
      <div class="measure stacked">
        <QuantityField v-model="volumeMl" label="The cup holds, filled to the brim" quantity="volume" />
        <QuantityField v-model="emptyMg" label="Empty it weighs" quantity="mass" />
        <QuantityField v-model="fullMg" label="Full of paint it weighs" quantity="mass" />
        <p class="numeral">{{ density === null ? 'Weigh both.' : measures.density(density, 3) }}</p>
        <Button type="primary" :disabled="density === null" @click="take">Take it</Button>
      </div>
    </template>
    <Button>Measure the density with a cup</Button>
  </Popover>
</template>

<style scoped>
.measure {
  width: 230px;
}
</style>
