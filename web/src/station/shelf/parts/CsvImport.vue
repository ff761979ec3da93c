<script setup lang="ts">
import { Button, Modal } from 'ant-design-vue';
import { proxy } from 'comlink';
import { computed, onUnmounted, ref, shallowRef, watch } from 'vue';
import BareSelect from '#field/BareSelect.vue';
import { sayProblem, say } from '#notice/notices.ts';
import { useTask } from '#notice/useTask.ts';
import ShelfChanges from './ShelfChanges.vue';
import WrongCells from './WrongCells.vue';
import { useShelf } from '#store/shelf.ts';
import { csvWorker, stopCsvWorker } from '#worker/workers.ts';
import type { CsvGlance } from '#worker/csv.worker.ts';
import { matchShelf } from '#csv/matchShelf.ts';
import {
  CSV_FIELDS,
  matchColumns,
  type ColumnMatch,
  type CsvEdit,
  type CsvError,
  type ReadMaterials,
} from '#csv/materialCsv.ts';

const props = defineProps<{ glance: CsvGlance; name: string }>();
const emit = defineEmits<{ close: [] }>();

const NOTHING: ReadMaterials = { rows: [], errors: [] };

const shelf = useShelf();
const match = ref<ColumnMatch>(matchColumns(props.glance.header));
/** Cells that were set right here; the file stays as it is. */
const edits = ref<readonly CsvEdit[]>([]);
const { busy, run } = useTask();
const read = shallowRef<ReadMaterials>(NOTHING);
/** The share of the rows that are read; null when all are. */
const reading = ref<number | null>(0);

/** Rows are read away from the page, anew whenever a column or a cell changes; an older answer is dropped. */
let asked = 0;
watch(
  [match, edits],
  async ([columns, cells]) => {
    asked += 1;
    const mine = asked;
    let isRead = false;
    reading.value = 0;
    const onProgress = proxy((share: number) => {
      // What is told on the way may arrive after the answer.
      if (mine === asked && !isRead) reading.value = share;
    });
    try {
      const answer = await csvWorker().read(
        { ...columns },
        cells.map((each) => ({ ...each })),
        onProgress,
      );
      isRead = true;
      if (mine !== asked) return;
      read.value = answer;
      reading.value = null;
    } catch (error) {
      sayProblem(error);
    }
  },
  { immediate: true },
);
onUnmounted(stopCsvWorker);

const matched = computed(() => matchShelf(read.value.rows, shelf.materials));
/** Changes that the artist does not want, by the material's id. */
const unwanted = ref<readonly string[]>([]);
const wanted = computed(() => matched.value.changed.filter(({ on }) => !unwanted.value.includes(on.id)));
const badLines = computed(() => new Set(read.value.errors.map(({ line }) => line)).size);

/** Once the cell is left; while it is typed, half a number would already be one. */
function setRight({ line, field, text: before }: CsvError, text: string): void {
  if (text === before) return;
  const others = edits.value.filter((each) => each.line !== line || each.field !== field);
  edits.value = [...others, { line, field, text }];
}

const rowsWord = (count: number) => (count === 1 ? '1 row' : `${count} rows`);
/** What becomes of the rows. */
const summary = computed(() =>
  [
    `${rowsWord(props.glance.rows)}: ${matched.value.fresh.length} new`,
    matched.value.changed.length > 0 ? `${matched.value.changed.length} otherwise than on the shelf` : '',
    matched.value.alike > 0 ? `${matched.value.alike} on the shelf just so` : '',
    badLines.value > 0 ? `${badLines.value} not readable yet` : '',
  ]
    .filter(Boolean)
    .join(', '),
);
const doing = computed(() => {
  const [put, change] = [matched.value.fresh.length, wanted.value.length];
  if (change === 0) return `Put ${put} on the shelf`;
  return put === 0 ? `Change ${change}` : `Put ${put} on the shelf, change ${change}`;
});

/** Every column of the file was known by its name, and the two that each material needs are there. */
const isMatched = computed(() => {
  const taken = new Set(Object.values(match.value));
  const known = props.glance.header.every((_, index) => taken.has(index));
  return known && match.value.name !== null && match.value.kind !== null;
});

const columnOptions = computed(() => [
  { value: -1, label: 'not in the file' },
  ...props.glance.header.map((label, value) => ({ value, label: label || `column ${value + 1}` })),
]);

function choose(field: keyof ColumnMatch, column: number): void {
  match.value = { ...match.value, [field]: column < 0 ? null : column };
}

/** Rows that cannot be read yet stay here, to be set right. */
async function readIn(): Promise<void> {
  await run(async () => {
    const done = await shelf.addAll(
      matched.value.fresh,
      wanted.value.map(({ on, changes }) => ({ ...changes, id: on.id, version: on.version })),
    );
    if (done === undefined) return;
    const told = [
      done.added > 0 || done.changed === 0 ? `${done.added} materials are on the shelf.` : '',
      done.changed > 0 ? `${done.changed} were changed.` : '',
      badLines.value > 0 ? `${rowsWord(badLines.value)} stayed out.` : '',
    ];
    say(told.filter(Boolean).join(' '));
    if (badLines.value === 0) emit('close');
  });
}
</script>

<template>
  <Modal
    open
    :width="820"
    :keyboard="edits.length === 0"
    :mask-closable="edits.length === 0"
    :style="{ top: '32px' }"
    :title="`Read in ${name}`"
    @cancel="emit('close')"
  >
    <details :open="!isMatched">
      <summary class="soft">Which column holds what?</summary>
      <div class="columns">
        <div v-for="field in CSV_FIELDS" :key="field.field" class="column">
          <span aria-hidden="true">{{ field.label }}</span>
          <BareSelect
            :value="match[field.field] ?? -1"
            :options="columnOptions"
            size="small"
            :label="`Column for ${field.label}`"
            @update:value="choose(field.field, Number($event))"
          />
        </div>
      </div>
    </details>
    <div class="preview">
      <table>
        <thead>
          <tr>
            <th v-for="(head, index) in glance.header" :key="index" scope="col">{{ head }}</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="(row, index) in glance.first" :key="index">
            <td v-for="(cell, at) in row" :key="at">{{ cell }}</td>
          </tr>
        </tbody>
      </table>
    </div>
    <p>
      <template v-if="reading !== null">Reading, {{ Math.round(100 * reading) }} % …</template>
      <template v-else>{{ summary }}.</template>
      <template v-if="glance.encoding !== 'UTF-8'"> The file was read as {{ glance.encoding }}.</template>
    </p>
    <WrongCells v-if="read.errors.length > 0" :errors="read.errors" @right="setRight" />
    <ShelfChanges v-if="matched.changed.length > 0" v-model="unwanted" :changed="matched.changed" />
    <template #footer>
      <Button @click="emit('close')">Leave it</Button>
      <Button
        type="primary"
        :disabled="reading !== null || matched.fresh.length + wanted.length === 0"
        :loading="busy"
        @click="readIn"
      >
        {{ doing }}
      </Button>
    </template>
  </Modal>
</template>

<style scoped>
.columns {
  display: grid;
  grid-template-columns: repeat(4, minmax(0, 1fr));
  gap: 8px 12px;
  margin: 8px 0 16px;
}

.column {
  display: grid;
  gap: 2px;
  font-size: var(--type-note);
}

summary {
  cursor: pointer;
}

.preview {
  max-height: 150px;
  margin-top: 8px;
  overflow: auto;
  margin-bottom: 12px;
  border: 1px solid var(--rule);
}

table {
  border-collapse: collapse;
  font-size: var(--type-note);
  white-space: nowrap;
}

th,
td {
  padding: 4px 12px;
  text-align: left;
  border-bottom: 1px solid var(--rule);
}
</style>
