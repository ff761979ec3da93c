<script setup lang="ts">
import {
  isPath,
  isStack,
  moveInOrder,
  replaceItem,
  type PlanItem,
  type PlanPass,
  type PlanPath,
  type PlanStack,
} from '@icy-ribbon/core/piece/plan';
import { computed } from 'vue';
import { itemName } from '#drawing/plan.ts';
import { usePlan } from '#store/plan/plan.ts';
import PassFields from './PassFields.vue';
import PathFields from './PathFields.vue';
import StackFields from './StackFields.vue';

/** The chosen item in numbers: everything that can be dragged can be typed. */
const props = defineProps<{ item: PlanItem }>();
const emit = defineEmits<{ another: [] }>();

const plan = usePlan();
const name = computed(() => itemName(plan.body, props.item.id));

function change<Item extends PlanStack | PlanPath | PlanPass>(item: Item, changes: Partial<Item>): void {
  plan.edit((now) => replaceItem(now, { ...item, ...changes }));
}
</script>

<template>
  <section class="item stacked" :aria-label="name">
    <h2>{{ name }}</h2>
    <StackFields
      v-if="isStack(item)"
      :item="item"
      @change="change(item as PlanStack, $event)"
      @another="emit('another')"
    />
    <PathFields
      v-else-if="isPath(item)"
      :item="item"
      @change="change(item as PlanPath, $event)"
      @another="emit('another')"
    />
    <PassFields
      v-else
      :item="item"
      @change="change(item as PlanPass, $event)"
      @move="plan.edit((now) => moveInOrder(now, item.id, $event))"
    />
  </section>
</template>

<style scoped>
.item {
  align-content: start;
}
</style>
