<script setup lang="ts">
import type { ShelvedMaterial } from '@icy-ribbon/contract';
import { InputError } from '@icy-ribbon/core/base/error';
import { readPalette, writePalette } from '@icy-ribbon/core/paint/color';
import { isPaint } from '@icy-ribbon/core/paint/material';
import { Button, Dropdown, Menu, MenuItem } from 'ant-design-vue';
import { defineAsyncComponent, nextTick, ref, shallowRef } from 'vue';
import { fieldProblem } from '#api/problem.ts';
import { decodeText } from '#csv/decodeText.ts';
import { writeMaterials } from '#csv/materialCsv.ts';
import { say, sayProblem } from '#notice/notices.ts';
import { attempt } from '#notice/useTask.ts';
import { useShelf } from '#store/shelf.ts';
import { csvWorker } from '#worker/workers.ts';
import type { CsvGlance } from '#worker/csv.worker.ts';
import { saveText } from './save.ts';

/** The shelf as a file, and files onto the shelf. */
const props = defineProps<{ /** What is saved. */ listed: readonly ShelvedMaterial[] }>();

const CsvImport = defineAsyncComponent(() => import('./CsvImport.vue'));

const shelf = useShelf();
const csv = shallowRef<{ glance: CsvGlance; name: string } | null>(null);
const chooser = ref<HTMLInputElement | null>(null);

/** What is saved is the whole list, also where it was asked for before the list had come. */
const saveListed = (save: (listed: readonly ShelvedMaterial[]) => void) =>
  attempt(async () => {
    await shelf.ensure();
    await nextTick();
    save(props.listed);
  });
const exportCsv = () =>
  saveListed((listed) => saveText('shelf.csv', writeMaterials([...listed]), 'text/csv'));
const exportPalette = () =>
  saveListed((listed) => {
    const paints = listed.filter((each) => isPaint(each.kind));
    const colors = paints.map(({ name, colorHex }) => ({ name, hex: colorHex }));
    saveText('shelf.gpl', writePalette('Shelf', colors), 'text/plain');
  });

/** Reads a table (CSV) or a palette (.gpl); a palette's colors come in as artist tube paints. */
async function read(file: File | undefined): Promise<void> {
  if (!file) return;
  const bytes = new Uint8Array(await file.arrayBuffer());
  try {
    if (/\.gpl$/i.test(file.name)) {
      const { text } = decodeText(bytes);
      const done = await shelf.addAll(
        readPalette(text).map(({ name, hex }) => ({ name, kind: 'artist-tube' as const, colorHex: hex })),
      );
      if (done) say(`${done.added} colors are on the shelf as artist tube paints.`);
    } else {
      csv.value = { glance: await csvWorker().open(bytes), name: file.name };
    }
  } catch (error) {
    // Errors of a worker arrive as plain ones that still have their name.
    if (!(error instanceof Error) || error.name !== 'InputError') {
      sayProblem(error);
      return;
    }
    const where = error instanceof InputError ? `, ${error.field}` : '';
    sayProblem(fieldProblem('file', `"${file.name}"${where}: ${error.message}`));
  }
}

function fileChosen(event: Event): void {
  const input = event.target as HTMLInputElement;
  void read(input.files?.[0]);
  input.value = '';
}
</script>

<template>
  <Dropdown :trigger="['click']">
    <Button type="text">Files</Button>
    <template #overlay>
      <Menu>
        <MenuItem key="read" @click="chooser?.click()">Read in a table (CSV) or palette (.gpl)</MenuItem>
        <MenuItem key="csv" @click="exportCsv">Save the shelf as CSV</MenuItem>
        <MenuItem key="gpl" @click="exportPalette">Save the paint colors as a palette (.gpl)</MenuItem>
      </Menu>
    </template>
  </Dropdown>
  <input
    ref="chooser"
    class="visually-hidden"
    type="file"
    accept=".csv,.txt,.gpl,text/csv"
    tabindex="-1"
    aria-label="Shelf file"
    @change="fileChosen"
  />
  <CsvImport v-if="csv" :glance="csv.glance" :name="csv.name" @close="csv = null" />
</template>
