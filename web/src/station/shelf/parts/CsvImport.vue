<script setup lang="ts">
import { Button, Modal } from 'ant-design-vue';
import { proxy } from 'comlink';
import { computed, onUnmounted, ref, shallowRef, watch } from 'vue';
import BareSelect from '../../../field/BareSelect.vue';
import { sayProblem, say } from '../../../notice/notices.ts';
import { useTask } from '../../../notice/useTask.ts';
import { useShelf } from '../../../store/shelf.ts';
import { csvWorker, stopCsvWorker } from '../../../worker/csv.ts';
import type { CsvGlance } from '../../../worker/csv.worker.ts';
import { CSV_FIELDS, matchColumns, type ColumnMatch, type ReadMaterials } from '../../../csv/materialCsv.ts';

const props = defineProps<{ glance: CsvGlance; name: string }>();
const emit = defineEmits<{ close: [] }>();

const SHOWN_ERRORS = 30;
const NOTHING: ReadMaterials = { materials: [], errors: [] };

const shelf = useShelf();
const match = ref<ColumnMatch>(matchColumns(props.glance.header));
const { busy, run } = useTask();
const read = shallowRef<ReadMaterials>(NOTHING);
/** The share of the rows that are read; null when all are. */
const reading = ref<number | null>(0);

/** Rows are read away from the page, anew whenever a column is chosen; an older answer is dropped. */
let asked = 0;
watch(
  match,
  async (columns) => {
    asked += 1;
    const mine = asked;
    let isRead = false;
    reading.value = 0;
    const onProgress = proxy((share: number) => {
      // What is told on the way may arrive after the answer.
      if (mine === asked && !isRead) reading.value = share;
    });
    try {
      const answer = await csvWorker().read({ ...columns }, onProgress);
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

const columnOptions = computed(() => [
  { value: -1, label: 'not in the file' },
  ...props.glance.header.map((label, value) => ({ value, label: label || `column ${value + 1}` })),
]);

function choose(field: keyof ColumnMatch, column: number): void {
  match.value = { ...match.value, [field]: column < 0 ? null : column };
}

async function readIn(): Promise<void> {
  await run(async () => {
    const added = await shelf.addAll(read.value.materials);
    if (added === undefined) return;
    say(`${added} materials are on the shelf.`);
    emit('close');
  });
}
</script>

<template>
  <Modal open :width="820" :title="`Read in ${name}`" @cancel="emit('close')">
    <p class="soft">Which column holds what?</p>
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
      <template v-else>{{ glance.rows }} rows, {{ read.materials.length }} can be read.</template>
      <template v-if="glance.encoding !== 'UTF-8'"> The file was read as {{ glance.encoding }}.</template>
      <span v-if="read.errors.length > 0" class="alarm">
        Nothing is read in while {{ read.errors.length }} cells need a change:
      </span>
    </p>
    <ul v-if="read.errors.length > 0" class="errors" role="alert">
      <li v-for="error in read.errors.slice(0, SHOWN_ERRORS)" :key="`${error.line} ${error.column}`">
        line {{ error.line }}, {{ error.column }}: {{ error.message }}
      </li>
      <li v-if="read.errors.length > SHOWN_ERRORS">and {{ read.errors.length - SHOWN_ERRORS }} more</li>
    </ul>
    <template #footer>
      <Button @click="emit('close')">Leave it</Button>
      <Button
        type="primary"
        :disabled="reading !== null || read.errors.length > 0 || read.materials.length === 0"
        :loading="busy"
        @click="readIn"
      >
        Put {{ read.materials.length }} on the shelf
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
  font-size: 13px;
}

.preview {
  max-height: 190px;
  overflow: auto;
  margin-bottom: 12px;
  border: 1px solid var(--rule);
}

table {
  border-collapse: collapse;
  font-size: 13px;
  white-space: nowrap;
}

th,
td {
  padding: 3px 12px;
  text-align: left;
  border-bottom: 1px solid var(--rule);
}

.errors {
  max-height: 130px;
  margin: 4px 0 0;
  overflow: auto;
  font-size: 14px;
}
</style>
