<script setup lang="ts">
import equal from 'fast-deep-equal';
import { Button, Modal } from 'ant-design-vue';
import { computed } from 'vue';
import { useUnits } from '../store/units.ts';
import { conflict, decideConflict } from '../store/versioned.ts';
import { fieldName, theirsOf, valueWords } from '../words/conflict.ts';

const units = useUnits();
const rows = computed(() => {
  const found = conflict.value;
  if (!found) return [];
  return Object.entries(found.mine)
    .map(([field, mine]) => ({ field, mine, theirs: theirsOf(field, found.theirs) }))
    .filter(({ mine, theirs }) => !equal(mine, theirs));
});
const shown = (field: string, value: unknown) => valueWords(field, value, units.chosen);
</script>

<template>
  <Modal open title="Changed elsewhere" :closable="false" :mask-closable="false" :keyboard="false">
    <p>This was changed in another tab or on another device since you opened it. Choose what stays.</p>
    <table v-if="rows.length > 0">
      <thead>
        <tr>
          <th scope="col"></th>
          <th scope="col">Yours</th>
          <th scope="col">There now</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="row in rows" :key="row.field">
          <th scope="row">{{ fieldName(row.field) }}</th>
          <td>{{ shown(row.field, row.mine) }}</td>
          <td>{{ shown(row.field, row.theirs) }}</td>
        </tr>
      </tbody>
    </table>
    <template #footer>
      <Button @click="decideConflict(false)">Take what is there</Button>
      <Button type="primary" @click="decideConflict(true)">Keep mine</Button>
    </template>
  </Modal>
</template>

<style scoped>
table {
  margin-top: 16px;
  border-collapse: collapse;
  width: 100%;
}

th,
td {
  padding: 6px 12px 6px 0;
  text-align: left;
  vertical-align: top;
  border-bottom: 1px solid var(--rule);
}
</style>
