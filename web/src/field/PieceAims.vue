<script setup lang="ts">
import { AIMS, aimsOf, NO_AIMS, type AimKey } from '@icy-ribbon/core/paint/stage';
import { computed } from 'vue';
import { attempt } from '../notice/useTask.ts';
import { usePiece } from '../store/piece/piece.ts';
import { AIM_WORDS } from '../words/aims.ts';
import BareSelect from './BareSelect.vue';

/** What the artist wants of the piece in hand: windows, dose, order, air and the search for causes follow it. */
const props = defineProps<{ only?: readonly AimKey[] }>();
const NONE = 'none';

const store = usePiece();
const aims = computed(() => store.piece?.aims ?? NO_AIMS);
const rows = computed(() =>
  aimsOf(store.piece?.technique ?? 'dutch')
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

const aim = (key: AimKey, value: string) =>
  attempt(() => store.aim({ ...aims.value, [key]: value === NONE ? null : value }));
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
