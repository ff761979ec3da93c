<script setup lang="ts">
import { AIMS, aimsOf, type AimKey, type Aims, type Technique } from '@icy-ribbon/core/paint/stage';
import { computed } from 'vue';
import { AIM_WORDS } from '../words/aims.ts';
import BareSelect from './BareSelect.vue';

/** What the artist wants of a piece of a technique. */
const props = defineProps<{ technique: Technique; only?: readonly AimKey[] | undefined }>();
const aims = defineModel<Aims>({ required: true });
const NONE = 'none';

const rows = computed(() =>
  aimsOf(props.technique)
    .filter((key) => !props.only || props.only.includes(key))
    .map((key) => {
      const { label, none, options } = AIM_WORDS[key];
      const chosen = aims.value[key];
      return {
        key,
        label,
        value: chosen ?? NONE,
        look: chosen ? options[chosen]!.look : undefined,
        options: [
          { value: NONE, label: none },
          ...AIMS[key].map((value) => ({ value, label: options[value]!.label })),
        ],
      };
    }),
);

const aim = (key: AimKey, value: string) => {
  aims.value = { ...aims.value, [key]: value === NONE ? null : value };
};
</script>

<template>
  <div class="aims" role="group" aria-label="What you want of it">
    <div v-for="row in rows" :key="row.key" class="aim">
      <span class="label" aria-hidden="true">{{ row.label }}</span>
      <BareSelect
        :label="row.label"
        :value="row.value"
        :options="row.options"
        size="small"
        @update:value="aim(row.key, String($event))"
      />
      <p v-if="row.look" class="soft small">{{ row.look }}</p>
    </div>
  </div>
</template>

<style scoped>
.aims {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(125px, 1fr));
  align-items: start;
  gap: 8px 12px;
}
</style>
