<script setup lang="ts">
import type { StirringOrder } from '@icy-ribbon/core/paint/mix';
import BareSelect from '../../../field/BareSelect.vue';
import { useStirring } from '../../../store/stirring.ts';

/** In which order the cups of a recipe are filled. */
defineProps<{ recipeId: string }>();
const stirring = useStirring();

const LABELS: Readonly<Record<StirringOrder, string>> = {
  'half-medium': 'half the medium first',
  'medium-first': 'all the medium first',
  'paint-first': 'paint first',
};
const OPTIONS = Object.entries(LABELS).map(([value, label]) => ({ value, label }));
</script>

<template>
  <BareSelect
    label="Order in the cup"
    :value="stirring.orderOf(recipeId)"
    :options="OPTIONS"
    @update:value="stirring.choose(recipeId, $event as StirringOrder)"
  />
</template>
