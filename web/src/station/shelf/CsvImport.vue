<script setup lang="ts">
import { Button, Modal } from 'ant-design-vue';
import { computed, ref } from 'vue';
import BareSelect from '../../field/BareSelect.vue';
import { sayProblem, say } from '../../notice/notices.ts';
import { useShelf } from '../../store/shelf.ts';
import { CSV_FIELDS, matchColumns, readMaterials, type ColumnMatch, type CsvFile } from './materialCsv.ts';

const props = defineProps<{ file: CsvFile; name: string }>();
const emit = defineEmits<{ close: [] }>();

const PREVIEWED = 6;
const SHOWN_ERRORS = 30;

const shelf = useShelf();
const match = ref<ColumnMatch>(matchColumns(props.file.header));
const busy = ref(false);

const read = computed(() => readMaterials(props.file, match.value));
const columnOptions = computed(() => [
  { value: -1, label: 'not in the file' },
  ...props.file.header.map((label, value) => ({ value, label: label || `column ${value + 1}` })),
]);

function choose(field: keyof ColumnMatch, column: number): void {
  match.value = { ...match.value, [field]: column < 0 ? null : column };
}

async function readIn(): Promise<void> {
  busy.value = true;
  try {
    const added = await shelf.addAll(read.value.materials);
    say(`${added} materials are on the shelf.`);
    emit('close');
  } catch (error) {
    sayProblem(error);
  } finally {
    busy.value = false;
  }
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
            <th v-for="(head, index) in file.header" :key="index" scope="col">{{ head }}</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="(row, index) in file.rows.slice(0, PREVIEWED)" :key="index">
            <td v-for="(cell, at) in row" :key="at">{{ cell }}</td>
          </tr>
        </tbody>
      </table>
    </div>
    <p>
      {{ file.rows.length }} rows, {{ read.materials.length }} can be read.
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
        :disabled="read.errors.length > 0 || read.materials.length === 0"
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
