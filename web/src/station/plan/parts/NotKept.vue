<script setup lang="ts">
import { Button } from 'ant-design-vue';
import { computed } from 'vue';
import { itemName } from '#drawing/plan.ts';
import { usePlan } from '#store/plan/plan.ts';

/** What the server does not take of the plan, and where: everything stays as it was drawn until it is mended. */
const plan = usePlan();
const emit = defineEmits<{ show: [] }>();

const LISTS = ['stacks', 'paths', 'passes'] as const;

/** What a path of the plan, like "stacks.0.layers", points at. */
function itemAt(path: string): string | undefined {
  const [list, index] = path.split('.');
  const found = LISTS.find((each) => each === list);
  return found && plan.body[found][Number(index)]?.id;
}

const wrong = computed(() =>
  (plan.refused?.fieldErrors ?? []).map(({ path, message }) => {
    const id = itemAt(path);
    return { path, message, id, name: id ? itemName(plan.body, id) : '' };
  }),
);

function show(id: string): void {
  plan.select([id]);
  emit('show');
}
</script>

<template>
  <div v-if="wrong.length > 0" class="alarm" role="alert">
    <p>The plan is not kept as it is:</p>
    <p v-for="{ path, message, id, name } in wrong" :key="path">
      {{ name ? `${name}: ${message}` : message }}
      <Button v-if="id" size="small" @click="show(id)">Show it</Button>
    </p>
  </div>
</template>
