<script setup lang="ts">
import { Button, Input } from 'ant-design-vue';
import { useDebounceFn, useStorage } from '@vueuse/core';
import { computed, defineAsyncComponent, onMounted, ref, watch } from 'vue';
import EmptyDrawing from '#drawing/EmptyDrawing.vue';
import BareSelect from '#field/BareSelect.vue';
import { useFirstRows } from '#field/firstFrame.ts';
import { attempt } from '#notice/useTask.ts';
import { usePiece } from '#store/piece/piece.ts';
import { usePieces } from '#store/pieces.ts';
import ImportPiece from './parts/ImportPiece.vue';
import MadeDifference from './parts/MadeDifference.vue';
import ResultCharts from './parts/ResultCharts.vue';
import ResultFiles from './parts/ResultFiles.vue';
import ResultFilters from './parts/ResultFilters.vue';
import ResultRow from './parts/ResultRow.vue';
import ResultWall from './parts/ResultWall.vue';

const Pagination = defineAsyncComponent(() => import('ant-design-vue/es/pagination'));

const store = usePieces();
const loaded = ref(false);
const rows = useFirstRows(() => store.items);

const SORTS = [
  { value: 'finished', label: 'Finished first' },
  { value: 'newest', label: 'Newest first' },
  { value: 'oldest', label: 'Oldest first' },
  { value: 'name', label: 'By name' },
  { value: 'rating', label: 'Best rated' },
  { value: 'cells', label: 'Most cells' },
  { value: 'lacing', label: 'Most lacing' },
  { value: 'petals', label: 'Best petals' },
  { value: 'mud', label: 'Least mud' },
];
const TABS = [
  { key: 'table', label: 'Table' },
  { key: 'wall', label: 'Wall' },
  { key: 'charts', label: 'Charts' },
  { key: 'difference', label: 'What made the difference' },
] as const;
type Tab = (typeof TABS)[number]['key'];
const tab = useStorage<Tab>('icy-ribbon.results-tab', 'table');

const filtered = computed(() => {
  const { page, pageSize, sort, ...rest } = store.filter;
  void [page, pageSize, sort];
  return Object.values(rest).some((value) => value !== undefined && value !== '');
});
/** The filter as an address, for files that hold the list as it is shown. */
const search = computed(() => {
  const { page, pageSize, ...rest } = store.filter;
  void [page, pageSize];
  const given = Object.entries(rest).filter(([, value]) => value !== undefined && value !== '');
  return new URLSearchParams(given.map(([key, value]): [string, string] => [key, String(value)])).toString();
});

async function load(): Promise<void> {
  await attempt(async () => {
    await store.load();
    loaded.value = true;
  });
}

onMounted(load);
// What waited in the browser while the server was away may arrive after the list was read.
const inHand = usePiece();
watch(() => inHand.delivered, load);
const loadSoon = useDebounceFn(load, 200);
watch(() => store.filter, loadSoon, { deep: true });
</script>

<template>
  <main>
    <header>
      <h1>Results</h1>
      <Input
        :value="store.filter.q ?? ''"
        class="search"
        allow-clear
        placeholder="Search names, notes, cups"
        aria-label="Search results"
        @update:value="store.narrow({ q: $event })"
      />
      <ResultFilters />
      <BareSelect
        :value="store.filter.sort"
        class="sort"
        :options="SORTS"
        label="Order"
        @update:value="store.narrow({ sort: $event as never })"
      />
      <span class="spring"></span>
      <ResultFiles :search="search" />
      <ImportPiece />
    </header>
    <nav class="tabs views" aria-label="How the results are shown">
      <button v-for="each in TABS" :key="each.key" :aria-pressed="tab === each.key" @click="tab = each.key">
        {{ each.label }}
      </button>
      <span class="spring"></span>
      <template v-if="store.marked.length > 0">
        <Button size="small" type="text" @click="store.marked = []">Unmark all</Button>
        <RouterLink
          v-if="store.marked.length >= 2 && store.marked.length <= 4"
          :to="{ name: 'compare', query: { ids: store.marked.join(',') } }"
        >
          Compare {{ store.marked.length }} pours
        </RouterLink>
        <span v-else class="soft">Mark two to four to compare</span>
      </template>
    </nav>
    <ResultCharts v-if="tab === 'charts'" />
    <MadeDifference v-else-if="tab === 'difference'" />
    <ResultWall v-else-if="tab === 'wall' && store.items.length > 0" :pieces="store.items" />
    <table v-else-if="store.items.length > 0">
      <thead>
        <tr>
          <th scope="col"><span class="visually-hidden">Compare</span></th>
          <th scope="col">Piece</th>
          <th scope="col">Mixes, thick to thin</th>
          <th scope="col">Air</th>
          <th scope="col">Outcome</th>
        </tr>
      </thead>
      <tbody>
        <ResultRow v-for="piece in rows" :key="piece.id" :piece="piece" />
      </tbody>
    </table>
    <EmptyDrawing v-else-if="loaded" kind="wall">
      {{
        filtered
          ? 'No piece matches. Change the search or the filter.'
          : 'No pieces yet. Start one at Today, or import one.'
      }}
    </EmptyDrawing>
    <Pagination
      v-if="(tab === 'table' || tab === 'wall') && store.total > store.filter.pageSize"
      v-model:current="store.filter.page"
      :total="store.total"
      :page-size="store.filter.pageSize"
      :show-size-changer="false"
    />
  </main>
</template>

<style scoped>
main {
  container-type: inline-size;
  padding: 12px 24px 24px;
}

/* Large text leaves no room for the mixes, nor for long search. */
@container (width < 40rem) {
  .tabs {
    flex-wrap: wrap;
  }

  table :deep(:is(th, td):nth-child(3)) {
    display: none;
  }
}

/* The air of a pour is read at the piece itself where there is no room for it here. */
@media (width < 1000px) {
  table :deep(:is(th, td):nth-child(4)) {
    display: none;
  }
}

header {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 8px 12px;
}

.search {
  width: 200px;
}

.tabs {
  display: flex;
  align-items: center;
  margin-top: 6px;
  border-bottom: 1px solid var(--rule);
}

.sort {
  width: 150px;
}

table {
  width: 100%;
  border-collapse: collapse;
}

th {
  padding: 12px 16px 6px 0;
  text-align: left;
  font-weight: var(--weight-strong);
  font-size: var(--type-note);
  color: var(--ink-soft);
}

/* Its picture, its name and when; the rest stands at the piece. */
@media (width < 600px) {
  main {
    padding: 12px 16px 16px;
  }

  .search {
    flex: 1 1 160px;
  }

  table :deep(:is(th, td):nth-child(n + 3)) {
    display: none;
  }
}
</style>
