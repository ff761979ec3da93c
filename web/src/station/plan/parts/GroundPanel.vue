<script setup lang="ts">
import { usePlan } from '#store/plan/plan.ts';
import BasePanel from './BasePanel.vue';
import ReplacePaint from './ReplacePaint.vue';
import SettingsFields from './SettingsFields.vue';

/** The base under everything, paints that are only planned, and what the amounts reckon with. */
const emit = defineEmits<{ another: [] }>();
const plan = usePlan();

/** A cup that was only planned is planned no more, and lies nowhere. */
function forget(id: string): void {
  const without = <Item extends { layers: readonly { cupId: string }[] }>(items: readonly Item[]): Item[] =>
    items.map((item) => ({ ...item, layers: item.layers.filter((layer) => layer.cupId !== id) }));
  const { body } = plan;
  plan.change({
    ...body,
    base: body.base?.areas.some((area) => area.cupId === id) ? null : body.base,
    stacks: without(body.stacks),
    paths: without(body.paths),
    planned: body.planned.filter((cup) => cup.id !== id),
  });
}
</script>

<template>
  <section aria-label="Base and amounts">
    <BasePanel />
    <button class="plain-button link" @click="emit('another')">Plan a paint not mixed yet</button>
    <p v-for="cup in plan.planned" :key="cup.id" class="small">
      {{ cup.name }}, not mixed yet
      <button class="plain-button link" :aria-label="`Plan without ${cup.name}`" @click="forget(cup.id)">
        Plan without it
      </button>
    </p>
    <ReplacePaint />
    <h3>Reckoned with</h3>
    <SettingsFields />
  </section>
</template>

<style scoped>
section {
  display: grid;
  gap: 8px;
  align-content: start;
}

.link {
  justify-self: start;
  padding: 6px 0;
  color: var(--water);
  text-decoration: underline;
}
</style>
