<script setup lang="ts">
import type { Ingredient } from '@icy-ribbon/contract';
import { CAUTIONS } from '@icy-ribbon/core/paint/caution';
import { convert } from '@icy-ribbon/core/base/unit';
import { useStorage } from '@vueuse/core';
import { RadioButton, RadioGroup } from 'ant-design-vue';
import { computed } from 'vue';

/** A powder is measured by spoon: how many, with the smidgen of the artist's own spoon set. */
const props = defineProps<{ ingredient: Ingredient; mg: number }>();

const smidgen = useStorage<'smidgen 1/32' | 'smidgen 1/16'>('icy-ribbon.smidgen', 'smidgen 1/32');

const spoons = computed(() => {
  const by = (unit: string) =>
    convert(props.mg, 'mg', unit, props.ingredient.material.densityGPerMl).toPrecision(2);
  return `about ${by('tsp')} tsp, or ${by(smidgen.value)} smidgens`;
});
</script>

<template>
  <div class="spoon">
    <p>By spoon: {{ spoons }}. Your smidgen is</p>
    <RadioGroup v-model:value="smidgen" size="small" name="smidgen" aria-label="Your smidgen is">
      <RadioButton value="smidgen 1/32">1/32 tsp</RadioButton>
      <RadioButton value="smidgen 1/16">1/16 tsp</RadioButton>
    </RadioGroup>
    <p class="look">{{ CAUTIONS.dust }} {{ CAUTIONS.stirSlowly }} {{ CAUTIONS.deferral }}</p>
  </div>
</template>

<style scoped>
.spoon {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 4px 12px;
  margin-top: 8px;
}
</style>
