<script setup lang="ts">
import equal from 'fast-deep-equal';
import { Button, Modal } from 'ant-design-vue';
import { computed } from 'vue';
import { conflict, decideConflict } from '../store/versioned.ts';

const rows = computed(() => {
  const found = conflict.value;
  if (!found) return [];
  return Object.entries(found.mine)
    .filter(([field, mine]) => !equal(mine, found.theirs[field]))
    .map(([field, mine]) => ({ field: words(field), mine, theirs: found.theirs[field] }));
});

/** "tryNext" -> "try next". */
const words = (field: string) => field.replace(/[A-Z]/g, (letter) => ` ${letter.toLowerCase()}`);

/** A list is shown as how many it holds; what has parts of its own only as being there. */
function shown(value: unknown): string {
  if (value === undefined || value === null || value === '') return 'nothing';
  if (Array.isArray(value)) return String(value.length);
  return typeof value === 'object' ? 'set in another way' : String(value as string | number | boolean);
}
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
          <th scope="row">{{ row.field }}</th>
          <td>{{ shown(row.mine) }}</td>
          <td>{{ shown(row.theirs) }}</td>
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
