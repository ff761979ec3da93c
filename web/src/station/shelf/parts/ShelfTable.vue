<script setup lang="ts" generic="Row extends { readonly id: string }">
import {
  createPaginatedRowModel,
  createSortedRowModel,
  rowPaginationFeature,
  rowSortingFeature,
  sortFn_basic,
  tableFeatures,
  useTable,
} from '@tanstack/vue-table';
import { computed, defineAsyncComponent } from 'vue';
import type { TableColumn } from './tableColumn.ts';

/** A table of the shelf: sorted by its headings, a long one in pages. The slot "cell" draws what stands in a cell. */
const props = defineProps<{
  columns: readonly TableColumn<Row>[];
  rows: readonly Row[];
  /** Stands there instead of rows. */
  empty: string;
  /** What it is sorted by at first. */
  sortedBy?: string;
}>();
defineSlots<{ cell(given: { column: string; row: Row }): unknown }>();

const PAGE_SIZE = 100;
/** Few shelves are so long. */
const Pagination = defineAsyncComponent(() => import('ant-design-vue/es/pagination'));

const features = tableFeatures({
  rowSortingFeature,
  rowPaginationFeature,
  sortedRowModel: createSortedRowModel(),
  paginatedRowModel: createPaginatedRowModel(),
  sortFns: { basic: sortFn_basic },
});
const table = useTable<typeof features, Row>({
  features,
  columns: computed(() =>
    props.columns.map(({ key, sorter }) => ({
      id: key,
      ...(sorter && { accessorFn: sorter }),
      enableSorting: sorter !== undefined,
      sortFn: 'basic' as const,
      sortDescFirst: false,
    })),
  ),
  data: computed(() => props.rows),
  getRowId: ({ id }: Row) => id,
  initialState: {
    sorting: props.sortedBy === undefined ? [] : [{ id: props.sortedBy, desc: false }],
    pagination: { pageIndex: 0, pageSize: PAGE_SIZE },
  },
});

const shown = computed(() => table.getRowModel().rows.map(({ original }) => original));
const heads = computed(() =>
  props.columns.map((column) => ({
    ...column,
    sorted: column.sorter ? (table.getColumn(column.key)?.getIsSorted() ?? false) : false,
  })),
);
const ARIA = { asc: 'ascending', desc: 'descending' } as const;
const page = computed({
  get: () => table.atoms.pagination.get().pageIndex + 1,
  set: (next) => table.setPageIndex(next - 1),
});
</script>

<template>
  <div class="shelf-table stacked">
    <div class="wide">
      <table class="rows">
        <thead>
          <tr>
            <th
              v-for="{ key, title, isNumber, sorter, sorted } in heads"
              :key="key"
              scope="col"
              :class="[`of-${key}`, { number: isNumber }]"
              :aria-sort="sorted ? ARIA[sorted] : undefined"
            >
              <button
                v-if="sorter"
                type="button"
                class="plain-button sorts"
                @click="table.getColumn(key)?.toggleSorting()"
              >
                {{ title }}
              </button>
              <template v-else>{{ title }}</template>
            </th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="row in shown" :key="row.id">
            <td v-for="{ key, isNumber } in columns" :key="key" :class="[`of-${key}`, { number: isNumber }]">
              <slot name="cell" :column="key" :row="row" />
            </td>
          </tr>
        </tbody>
      </table>
    </div>
    <p v-if="rows.length === 0" class="soft">{{ empty }}</p>
    <Pagination
      v-if="rows.length > PAGE_SIZE"
      v-model:current="page"
      :total="rows.length"
      :page-size="PAGE_SIZE"
      :show-size-changer="false"
    />
  </div>
</template>

<style scoped>
.shelf-table {
  grid-template-columns: minmax(0, 1fr);
}

.wide {
  overflow-x: auto;
}

td {
  white-space: nowrap;
}

/* A heading that sorts is underlined; the one that sorts now in ink, below for up, above for down. */
.sorts {
  font-weight: var(--weight-plain);
  color: var(--ink-soft);
  text-decoration: underline 1px;
  text-underline-offset: 4px;
}

/* For a finger a heading is as high as a field. */
@media (pointer: coarse) {
  .sorts {
    min-height: var(--touch-field);
  }
}

[aria-sort] .sorts {
  color: var(--ink);
  font-weight: var(--weight-strong);
  text-decoration-thickness: 2px;
}

[aria-sort='descending'] .sorts {
  text-decoration-line: overline;
}
</style>
