<script setup lang="ts">
import { InputError } from '@icy-ribbon/core/base/error';
import type { ShelvedMaterial } from '@icy-ribbon/contract';
import { readPalette, writePalette } from '@icy-ribbon/core/paint/color';
import { FINISHES, MATERIAL_KINDS, OPACITIES, isPaint, materialKind } from '@icy-ribbon/core/paint/material';
import { stageOf } from '@icy-ribbon/core/paint/stage';
import { useStorage } from '@vueuse/core';
import {
  Button,
  CheckboxGroup,
  Drawer,
  Dropdown,
  Input,
  Menu,
  MenuItem,
  Popover,
  Table,
} from 'ant-design-vue';
import { computed, defineAsyncComponent, ref, shallowRef } from 'vue';
import { ApiProblem } from '../../../api/problem.ts';
import BareSelect from '../../../field/BareSelect.vue';
import { say, sayProblem } from '../../../notice/notices.ts';
import { useShelf } from '../../../store/shelf.ts';
import { useUnits } from '../../../store/units.ts';
import { useMeasures } from '../../../words/useMeasures.ts';
import { draftOf, emptyMaterial, stockLeftMg, typicalOf, type MaterialDraft } from './materialDraft.ts';
import { csvWorker } from '../../../worker/csv.ts';
import type { CsvGlance } from '../../../worker/csv.worker.ts';
import { decodeText } from '../../../csv/decodeText.ts';
import { writeMaterials } from '../../../csv/materialCsv.ts';
import { COLUMNS, OPTIONAL_COLUMNS, type ColumnKey } from './materialColumns.ts';
import MaterialForm from './MaterialForm.vue';
import { saveText } from './save.ts';

const CsvImport = defineAsyncComponent(() => import('./CsvImport.vue'));

const shelf = useShelf();
const units = useUnits();
const measures = useMeasures();
const search = ref('');
const kindFilter = ref('');
const chosenIds = ref<string[]>([]);
const shownColumns = useStorage<ColumnKey[]>('icy-ribbon.shelf-columns', [
  'finish',
  'density',
  'viscosity',
  'stock',
]);
const archived = ref<ShelvedMaterial[] | null>(null);
const editing = shallowRef<ShelvedMaterial | 'new' | null>(null);
const draft = ref<MaterialDraft>(emptyMaterial());
const problem = ref<unknown>(null);
const csv = shallowRef<{ glance: CsvGlance; name: string } | null>(null);
const chooser = ref<HTMLInputElement | null>(null);

const listed = computed(() => archived.value ?? shelf.materials);
const shown = computed(() => {
  const wanted = search.value.trim().toLowerCase();
  return listed.value.filter(
    (material) =>
      (!kindFilter.value || material.kind === kindFilter.value) &&
      (!wanted ||
        [material.name, materialKind(material.kind).label, material.finish, material.note]
          .join(' ')
          .toLowerCase()
          .includes(wanted)),
  );
});
const chosen = computed(() => shelf.materials.filter((each) => chosenIds.value.includes(each.id)));

const kindOptions = [
  { value: '', label: 'Every kind' },
  ...MATERIAL_KINDS.map(({ kind, label }) => ({ value: kind, label })),
];
const columns = computed(() => [
  ...(archived.value ? [] : [COLUMNS.choose]),
  COLUMNS.name,
  COLUMNS.kind,
  ...OPTIONAL_COLUMNS.filter(({ value }) => shownColumns.value.includes(value)).map(({ value }) =>
    value === 'density'
      ? { ...COLUMNS.density, title: `Density, ${measures.value.densityUnit}` }
      : COLUMNS[value],
  ),
  COLUMNS.actions,
]);

function edit(material: ShelvedMaterial | 'new'): void {
  editing.value = material;
  draft.value = material === 'new' ? emptyMaterial() : draftOf(material);
  problem.value = null;
}

async function save(): Promise<void> {
  const target = editing.value;
  if (!target) return;
  const { kind, densityGPerMl, viscosityPaS, price, stockMg, ...rest } = draft.value;
  const priceCents = price === null ? null : Math.round(price * 100);
  try {
    if (target === 'new') {
      await shelf.addMaterial({
        ...rest,
        kind,
        priceCents,
        stockMg,
        ...(densityGPerMl !== null && { densityGPerMl }),
        ...(viscosityPaS !== null && { viscosityPaS }),
      });
      say(`"${rest.name}" is on the shelf.`);
    } else {
      const typical = typicalOf(draft.value);
      await shelf.changeMaterial(target.id, target.version, {
        ...rest,
        priceCents,
        ...(stockMg !== stockLeftMg(target) && { stockMg }),
        densityGPerMl: densityGPerMl ?? typical.densityGPerMl,
        densityTrust: densityGPerMl === null ? 'typical' : 'measured',
        viscosityPaS: viscosityPaS ?? typical.viscosityPaS,
        viscosityTrust: viscosityPaS === null ? 'typical' : 'measured',
      });
    }
    editing.value = null;
  } catch (error) {
    problem.value = error;
  }
}

async function remove(material: ShelvedMaterial): Promise<void> {
  try {
    const removed = await shelf.removeMaterial(material);
    say(`"${material.name}" is off the shelf. Mixes made from it keep it.`, () =>
      shelf.restoreMaterial(removed).catch(sayProblem),
    );
  } catch (error) {
    sayProblem(error);
  }
}

async function putBack(material: ShelvedMaterial): Promise<void> {
  try {
    await shelf.restoreMaterial(material);
    const rest = await shelf.archived();
    if (archived.value) archived.value = rest;
  } catch (error) {
    sayProblem(error);
  }
}

async function showArchived(): Promise<void> {
  chosenIds.value = [];
  try {
    archived.value = archived.value ? null : await shelf.archived();
  } catch (error) {
    sayProblem(error);
  }
}

async function changeChosen(changes: Parameters<typeof shelf.changeMany>[1]): Promise<void> {
  try {
    await shelf.changeMany(chosen.value, changes);
    say(`${chosen.value.length} materials are changed.`);
    chosenIds.value = [];
  } catch (error) {
    sayProblem(error);
  }
}

const exportCsv = () => saveText('shelf.csv', writeMaterials(listed.value), 'text/csv');
const exportPalette = () =>
  saveText(
    'shelf.gpl',
    writePalette(
      'Shelf',
      listed.value
        .filter((each) => isPaint(each.kind))
        .map(({ name, colorHex }) => ({ name, hex: colorHex })),
    ),
    'text/plain',
  );

/** Reads a table (CSV) or a palette (.gpl); a palette's colors come in as artist tube paints. */
async function read(file: File | undefined): Promise<void> {
  if (!file) return;
  const bytes = new Uint8Array(await file.arrayBuffer());
  try {
    if (/\.gpl$/i.test(file.name)) {
      const { text } = decodeText(bytes);
      const added = await shelf.addAll(
        readPalette(text).map(({ name, hex }) => ({ name, kind: 'artist-tube' as const, colorHex: hex })),
      );
      if (added !== undefined) say(`${added} colors are on the shelf as artist tube paints.`);
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
    const detail = `"${file.name}"${where}: ${error.message}`;
    sayProblem(new ApiProblem({ type: 'about:blank', title: 'Not readable', status: 422, detail }));
  }
}

function fileChosen(event: Event): void {
  const input = event.target as HTMLInputElement;
  void read(input.files?.[0]);
  input.value = '';
}

function stock(material: ShelvedMaterial): string {
  const left = stockLeftMg(material);
  return left === null ? 'not counted' : units.show('mass', left);
}
</script>

<template>
  <div class="bar">
    <Input
      v-model:value="search"
      allow-clear
      placeholder="Search name, kind, finish"
      aria-label="Search the shelf"
    />
    <BareSelect v-model:value="kindFilter" :options="kindOptions" class="kind" label="Kind of material" />
    <Popover trigger="click" placement="bottom" title="Columns">
      <template #content>
        <CheckboxGroup v-model:value="shownColumns" class="checks" :options="[...OPTIONAL_COLUMNS]" />
      </template>
      <Button type="text">Columns</Button>
    </Popover>
    <Button type="text" :aria-pressed="archived !== null" @click="showArchived">
      {{ archived ? 'Back to the shelf' : 'Taken off' }}
    </Button>
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
    <Button type="primary" @click="edit('new')">Enter a material</Button>
  </div>
  <div v-if="chosen.length > 0" class="bulk" role="region" aria-label="Change the chosen ones">
    <span>{{ chosen.length }} chosen:</span>
    <BareSelect
      placeholder="Finish"
      label="Finish of the chosen ones"
      :options="FINISHES.map((value) => ({ value, label: value }))"
      @change="changeChosen({ finish: $event as 'plain' })"
    />
    <BareSelect
      placeholder="Opacity"
      label="Opacity of the chosen ones"
      :options="OPACITIES.map((value) => ({ value, label: value }))"
      @change="changeChosen({ opacity: $event as 'opaque' })"
    />
    <Button type="text" @click="chosenIds = []">Choose none</Button>
  </div>
  <Table
    :columns="columns"
    :data-source="[...shown]"
    row-key="id"
    size="small"
    :pagination="shown.length > 100 ? { pageSize: 100, showSizeChanger: false } : false"
    :locale="{ emptyText: archived ? 'Nothing was taken off.' : 'Nothing on the shelf by that name.' }"
  >
    <template #bodyCell="{ column, record }">
      <template v-if="column.key === 'choose'">
        <input
          v-model="chosenIds"
          class="choose"
          type="checkbox"
          :value="record.id"
          :aria-label="`Choose ${record.name}`"
        />
      </template>
      <template v-else-if="column.key === 'name'">
        <span class="name">
          <span class="swatch">
            <span :style="{ background: record.colorHex }"></span>
            <span :style="{ background: record.dryColorHex ?? record.colorHex }"></span>
          </span>
          {{ record.name }}
        </span>
      </template>
      <template v-else-if="column.key === 'kind'">{{ materialKind(record.kind).label }}</template>
      <template v-else-if="column.key === 'density'">
        <span class="trust">{{ record.densityTrust }}</span>
        {{ measures.densityNumber(record.densityGPerMl, 3) }}
      </template>
      <template v-else-if="column.key === 'viscosity'">
        <span
          class="trust"
          :title="record.learned ? `Learned from ${record.learned.readings} readings of its cups` : undefined"
        >
          {{ record.learned ? 'learned' : record.viscosityTrust }},
          {{ stageOf(record.learned?.viscosityPaS ?? record.viscosityPaS).name }}
        </span>
        {{
          Number((record.learned?.viscosityPaS ?? record.viscosityPaS).toPrecision(record.learned ? 2 : 3))
        }}
      </template>
      <template v-else-if="column.key === 'stock'">{{ stock(record as ShelvedMaterial) }}</template>
      <template v-else-if="column.key === 'price'">
        {{ record.priceCents === null ? '' : (record.priceCents / 100).toFixed(2) }}
      </template>
      <template v-else-if="column.key === 'actions'">
        <Button v-if="archived" type="link" size="small" @click="putBack(record as ShelvedMaterial)"
          >Put back</Button
        >
        <template v-else>
          <Button
            type="link"
            size="small"
            :aria-label="`Change ${record.name}`"
            @click="edit(record as ShelvedMaterial)"
          >
            Change
          </Button>
          <Button
            type="link"
            size="small"
            :aria-label="`Take ${record.name} off the shelf`"
            @click="remove(record as ShelvedMaterial)"
          >
            Take off
          </Button>
        </template>
      </template>
    </template>
  </Table>
  <CsvImport v-if="csv" :glance="csv.glance" :name="csv.name" @close="csv = null" />
  <Drawer
    :open="editing !== null"
    :title="editing === 'new' ? 'Enter a material' : 'Change a material'"
    :width="420"
    @close="editing = null"
  >
    <form id="material" @submit.prevent="save">
      <MaterialForm v-model="draft" :problem="problem" :kind-fixed="editing !== 'new'" />
    </form>
    <template #footer>
      <Button type="primary" html-type="submit" form="material">Keep it</Button>
      <Button type="text" @click="editing = null">Leave it</Button>
    </template>
  </Drawer>
</template>

<style scoped>
.bar,
.bulk {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 8px;
}

.bar > :first-child {
  width: 260px;
}

.kind {
  width: 190px;
}

.bar > :last-child {
  margin-left: auto;
}

.bulk {
  padding-left: 12px;
  border-left: 4px solid var(--brass);
}

.choose {
  width: 20px;
  height: 20px;
}

.checks {
  display: grid;
  gap: 4px;
}

.name {
  display: flex;
  align-items: center;
  gap: 12px;
  font-weight: 500;
}

.swatch {
  flex: none;
  display: grid;
  grid-template-columns: 1fr 1fr;
  width: 34px;
  height: 22px;
  border: 1px solid var(--ice-deep);
}

:deep(td) {
  white-space: nowrap;
}

.trust {
  font-size: 13px;
  color: var(--ink-soft);
}
</style>
