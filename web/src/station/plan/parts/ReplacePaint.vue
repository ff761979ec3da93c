<script setup lang="ts">
import { replacePaint } from '@icy-ribbon/core/piece/plan';
import { Button } from 'ant-design-vue';
import { computed, ref } from 'vue';
import BareSelect from '#field/BareSelect.vue';
import { say } from '#notice/notices.ts';
import { usePlan } from '#store/plan/plan.ts';

/** One cup poured wherever the plan has another: a left-over, or one that came out better. */
const plan = usePlan();
const from = ref<string>();
const to = ref<string>();

const isPoured = (id: string) =>
  (plan.body.base?.areas.some(({ cupId }) => cupId === id) ?? false) ||
  [...plan.body.stacks, ...plan.body.paths].some(({ layers }) => layers.some(({ cupId }) => cupId === id));
const named = (id: string | undefined) => plan.paint(id ?? '')?.name ?? '';
const options = computed(() =>
  plan.paints.map(({ id, name, role }) => ({ value: id, label: `${name}, ${role}` })),
);
const poured = computed(() => options.value.filter(({ value }) => isPoured(value)));

function replace(): void {
  const [old, fresh] = [from.value, to.value];
  if (!old || !fresh || old === fresh) return;
  plan.edit((now) => replacePaint(now, old, fresh));
  say(`${named(fresh)} is poured wherever ${named(old)} was.`, plan.undo);
  from.value = undefined;
}
</script>

<template>
  <form v-if="poured.length > 0 && options.length > 1" class="replace" @submit.prevent="replace">
    <span class="soft">Pour</span>
    <BareSelect v-model:value="to" label="Paint to pour instead" placeholder="this cup" :options="options" />
    <span class="soft">for</span>
    <BareSelect v-model:value="from" label="Paint to be replaced" placeholder="that one" :options="poured" />
    <Button size="small" html-type="submit" :disabled="!from || !to || from === to">Everywhere</Button>
  </form>
</template>

<style scoped>
.replace {
  display: grid;
  grid-template-columns: auto minmax(0, 1fr) auto minmax(0, 1fr) auto;
  gap: 6px;
  align-items: center;
  font-size: var(--type-note);
}
</style>
