<script setup lang="ts">
import { Button, Input } from 'ant-design-vue';
import { useDebounceFn } from '@vueuse/core';
import { computed, defineAsyncComponent, onMounted, ref, watch } from 'vue';
import { useRouter } from 'vue-router';
import { ApiProblem } from '../../api/problem.ts';
import BareSelect from '../../field/BareSelect.vue';
import { say, sayProblem } from '../../notice/notices.ts';
import { usePieces } from '../../store/pieces.ts';
import ResultRow from './ResultRow.vue';

const Pagination = defineAsyncComponent(() => import('ant-design-vue/es/pagination'));

const store = usePieces();
const router = useRouter();
const loaded = ref(false);
const chooser = ref<HTMLInputElement | null>(null);

const SORTS = [
  { value: 'newest', label: 'Newest first' },
  { value: 'oldest', label: 'Oldest first' },
  { value: 'name', label: 'By name' },
  { value: 'cells', label: 'Most cells' },
  { value: 'lacing', label: 'Most lacing' },
  { value: 'petals', label: 'Best petals' },
  { value: 'mud', label: 'Least mud' },
];
const TECHNIQUES = [
  { value: '', label: 'All techniques' },
  { value: 'dutch', label: 'Dutch pours' },
  { value: 'bloom', label: 'Blooms' },
  { value: 'swipe', label: 'Swipes' },
];

const csvAddress = computed(() => {
  const { technique, q, sort } = store.filter;
  const search = new URLSearchParams({ sort, ...(technique && { technique }), ...(q && { q }) });
  return `/api/pieces.csv?${search.toString()}`;
});

async function load(): Promise<void> {
  try {
    await store.load();
    loaded.value = true;
  } catch (error) {
    sayProblem(error);
  }
}

onMounted(load);
watch(() => [store.filter.technique, store.filter.sort, store.filter.page], load);
const search = useDebounceFn(load, 250);

async function read(file: File | undefined): Promise<void> {
  if (!file) return;
  try {
    const document: unknown = await file.text().then(JSON.parse);
    const { pieceId, copied } = await store.importDocument(document);
    say(copied ? 'This piece was here already: it came in as a copy.' : 'The piece is in.');
    await router.push({ name: 'result', params: { pieceId } });
  } catch (error) {
    if (error instanceof SyntaxError) {
      sayProblem(
        new ApiProblem(notReadable(`"${file.name}" is no JSON file: choose one that was exported here.`)),
      );
    } else if (error instanceof ApiProblem && error.fieldErrors[0]) {
      const [first] = error.fieldErrors;
      sayProblem(
        new ApiProblem(
          notReadable(`"${file.name}" does not fit at ${first.path || 'the top'}: ${first.message}`),
        ),
      );
    } else {
      sayProblem(error);
    }
  }
}

const notReadable = (detail: string) => ({ type: 'about:blank', title: 'Not readable', status: 422, detail });

function chosen(event: Event): void {
  const input = event.target as HTMLInputElement;
  void read(input.files?.[0]);
  input.value = '';
}
</script>

<template>
  <main>
    <header>
      <h1>Results</h1>
      <Input
        v-model:value="store.filter.q"
        class="search"
        allow-clear
        placeholder="Search names and notes"
        aria-label="Search results"
        @update:value="search"
      />
      <BareSelect
        class="technique"
        :value="store.filter.technique ?? ''"
        :options="TECHNIQUES"
        label="Technique"
        @update:value="store.filter = { ...store.filter, page: 1, technique: ($event || undefined) as never }"
      />
      <BareSelect v-model:value="store.filter.sort" class="sort" :options="SORTS" label="Order" />
      <span class="spring"></span>
      <Button type="link" :href="csvAddress" download>List as CSV</Button>
      <input
        ref="chooser"
        class="visually-hidden"
        type="file"
        accept="application/json,.json"
        tabindex="-1"
        aria-label="A piece as JSON"
        @change="chosen"
      />
      <Button type="link" @click="chooser?.click()">Import a piece</Button>
    </header>
    <table v-if="store.items.length > 0">
      <thead>
        <tr>
          <th scope="col">Piece</th>
          <th scope="col">Mixes, thick to thin</th>
          <th scope="col">Air</th>
          <th scope="col">Outcome</th>
        </tr>
      </thead>
      <tbody>
        <ResultRow v-for="piece in store.items" :key="piece.id" :piece="piece" />
      </tbody>
    </table>
    <p v-else-if="loaded" class="soft none">
      {{
        store.filter.q || store.filter.technique
          ? 'No piece matches. Change the search or the technique.'
          : 'No pieces yet. Start one at Today, or import one.'
      }}
    </p>
    <Pagination
      v-if="store.total > store.filter.pageSize"
      v-model:current="store.filter.page"
      :total="store.total"
      :page-size="store.filter.pageSize"
      :show-size-changer="false"
    />
  </main>
</template>

<style scoped>
main {
  padding: 12px 24px 24px;
}

@media (width < 1000px) {
  main {
    padding: 12px 12px 24px;
    font-size: 14px;
  }
}

header {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 8px 12px;
}

.search {
  width: 230px;
}

.technique {
  width: 160px;
}

.sort {
  width: 150px;
}

.spring {
  flex: 1;
}

table {
  width: 100%;
  border-collapse: collapse;
}

th {
  padding: 12px 16px 6px 0;
  text-align: left;
  font-weight: 500;
  font-size: 13px;
  color: var(--ink-soft);
}

.none {
  padding: 48px 0;
}
</style>
