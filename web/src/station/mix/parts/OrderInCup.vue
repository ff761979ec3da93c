<script setup lang="ts">
import type { StirringOrder } from '@icy-ribbon/core/paint/mix';
import { Button } from 'ant-design-vue';
import { computed, ref } from 'vue';
import { useStirring } from '#store/stirring.ts';

/** In which order the cups of a recipe are filled. */
const props = defineProps<{ recipeId: string }>();
const stirring = useStirring();

const LABELS: Readonly<Record<StirringOrder, string>> = {
  'half-medium': 'half the medium first',
  'medium-first': 'all the medium first',
  'paint-first': 'paint first',
};

const open = ref(false);
const order = computed({
  get: () => stirring.orderOf(props.recipeId),
  set: (next) => stirring.choose(props.recipeId, next),
});
</script>

<template>
  <Button type="text" :aria-expanded="open" @click="open = !open">Order: {{ LABELS[order] }}</Button>
  <fieldset v-if="open" class="choice orders" aria-label="Order in the cup">
    <label v-for="(label, each) in LABELS" :key="each" :class="{ on: order === each }">
      <input v-model="order" type="radio" name="order" :value="each" />{{ label }}
    </label>
  </fieldset>
</template>

<style scoped>
.orders {
  flex-basis: 100%;
}
</style>
