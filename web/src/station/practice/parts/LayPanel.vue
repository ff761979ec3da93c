<script setup lang="ts">
import type { Scene } from '@icy-ribbon/core/piece/rehearse';
import { computed } from 'vue';
import NumberField from '#field/NumberField.vue';
import { useUnits } from '#store/units.ts';

/** Which paint is laid, and how much of it, where the support is touched next. */
defineProps<{ scene: Scene }>();
const model = defineModel<{ layer: number; grams: number | null }>({ required: true });
const units = useUnits();

const grams = computed({
  get: () => (model.value.grams === null ? null : units.fromBase('mass', 1000 * model.value.grams)),
  set: (shown: number | null) => {
    model.value = { ...model.value, grams: shown === null ? null : units.toBase('mass', shown) / 1000 };
  },
});
const choose = (event: Event) => {
  model.value = { ...model.value, layer: Number((event.target as HTMLSelectElement).value) };
};
</script>

<template>
  <div class="lay stacked">
    <label class="pick">
      Paint
      <select :value="model.layer" @change="choose">
        <option v-for="(layer, index) in scene.layers" :key="index" :value="index">{{ layer.name }}</option>
      </select>
    </label>
    <NumberField v-model="grams" label="Amount" :unit="units.unitLabel('mass')" :digits="1" />
  </div>
</template>

<style scoped>
.lay {
  grid-template-columns: 1fr 1fr;
}
</style>
