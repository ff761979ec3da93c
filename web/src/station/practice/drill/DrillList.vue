<script setup lang="ts">
import { DRILL_NAMES } from '@icy-ribbon/core/drill/schedule';
import { computed } from 'vue';
import { useDrills } from '#store/drills.ts';
import { DRILL_WORDS, dueWords } from '#words/drill.ts';

/** All drills: those that are due first come first to the eye. */
const drills = useDrills();

const rows = computed(() =>
  DRILL_NAMES.map((name) => {
    const runs = drills.runsOf(name);
    const due = drills.dueFor(name);
    return {
      name,
      ...DRILL_WORDS[name],
      best: runs.length > 0 ? Math.max(...runs.map(({ score }) => score)) : null,
      last: runs.at(-1)?.score ?? null,
      due: dueWords(due),
      isDue: due.at !== null && due.isDue,
    };
  }),
);
</script>

<template>
  <ul class="rows">
    <li v-for="row in rows" :key="row.name">
      <RouterLink :to="`/practice/drill/${row.name}`">{{ row.label }}</RouterLink>
      <span class="soft">{{ row.does }}</span>
      <span class="numeral">{{ row.last === null ? '' : `last ${row.last}, best ${row.best}` }}</span>
      <span :class="{ due: row.isDue, soft: !row.isDue }">{{ row.due }}</span>
    </li>
  </ul>
</template>

<style scoped>
ul {
  width: 100%;
}

li {
  display: grid;
  grid-template-columns: 200px minmax(0, 1fr) 150px 130px;
  gap: 16px;
  align-items: center;
  min-height: 48px;
}

.due {
  font-weight: var(--weight-strong);
}

@media (width < 900px) {
  li {
    grid-template-columns: minmax(0, 1fr) auto;
    gap: 4px 12px;
    padding: 8px 0;
  }
}

@media (width < 600px) {
  li {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
