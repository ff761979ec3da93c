<script setup lang="ts">
import type { PieceSummary } from '@icy-ribbon/contract';
import { Button } from 'ant-design-vue';
import CupDots from '#drawing/CupDots.vue';
import type { TableRow } from './tableRows.ts';

/** Every piece that waits for something, once: what is due of it, else its next step. */
defineProps<{ rows: readonly TableRow[]; loaded: boolean }>();
const emit = defineEmits<{ coat: [piece: PieceSummary]; dry: [piece: PieceSummary] }>();
</script>

<template>
  <p v-if="loaded && rows.length === 0" class="soft">Nothing else waits.</p>
  <ul v-else>
    <li v-for="row in rows" :key="row.id">
      <span>
        <RouterLink :to="row.to">{{ row.name }}</RouterLink>
        <span class="note">{{ row.what }}</span>
      </span>
      <Button
        v-if="row.topCoat"
        size="small"
        :aria-label="`${row.name} has its top coat`"
        @click="emit('coat', row.topCoat)"
      >
        Coated
      </Button>
      <Button
        v-else-if="row.drying"
        size="small"
        :aria-label="`${row.name} is touch-dry`"
        @click="emit('dry', row.drying)"
      >
        Dry
      </Button>
      <CupDots v-else-if="row.cups.length > 0" :cups="row.cups" />
    </li>
  </ul>
</template>

<style scoped>
li {
  display: flex;
  align-items: center;
  justify-content: space-between;
  gap: 12px;
  min-height: 44px;
  padding: 2px 0;
  border-top: 1px solid var(--rule);
}

li > span {
  display: grid;
}

a {
  font-weight: var(--weight-strong);
  color: var(--ink);
  text-underline-offset: 4px;
}

.note {
  font-size: var(--type-note);
  color: var(--ink-soft);
}
</style>
