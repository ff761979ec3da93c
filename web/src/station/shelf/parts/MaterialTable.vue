<script setup lang="ts">
import type { ShelvedMaterial } from '@icy-ribbon/contract';
import {
  FINISHES,
  MATERIAL_KINDS,
  OPACITIES,
  materialKind,
  stockLeftMg,
} from '@icy-ribbon/core/paint/material';
import { stageOf } from '@icy-ribbon/core/paint/stage';
import { useStorage } from '@vueuse/core';
import { Button, CheckboxGroup, Input, Popover, Table } from 'ant-design-vue';
import { computed } from 'vue';
import BareSelect from '../../../field/BareSelect.vue';
import RecordDrawer from '../../../field/RecordDrawer.vue';
import RowActions from '../../../field/RowActions.vue';
import { useRecordDrawer } from '../../../field/useRecordDrawer.ts';
import { say } from '../../../notice/notices.ts';
import { useShelf } from '../../../store/shelf.ts';
import { useMoney } from '../../../store/money.ts';
import { useUnits } from '../../../store/units.ts';
import { useMeasures } from '../../../words/useMeasures.ts';
import { columnsOf, OPTIONAL_COLUMNS, type ColumnKey } from './materialColumns.ts';
import { changesOf, draftOf, emptyMaterial, materialOf, type MaterialDraft } from './materialDraft.ts';
import MaterialForm from './MaterialForm.vue';
import ShelfFiles from './ShelfFiles.vue';
import { useMaterials } from './useMaterials.ts';

const shelf = useShelf();
const units = useUnits();
const money = useMoney();
const measures = useMeasures();
const {
  search,
  kindFilter,
  listed,
  shown,
  chosen,
  chosenIds,
  archived,
  remove,
  putBack,
  toggleArchived,
  changeChosen,
} = useMaterials();
const shownColumns = useStorage<ColumnKey[]>('icy-ribbon.shelf-columns', [
  'finish',
  'density',
  'viscosity',
  'stock',
]);

const drawer = useRecordDrawer<ShelvedMaterial, MaterialDraft>(emptyMaterial(), async (target, entered) => {
  if (target === 'new') {
    await shelf.addMaterial(materialOf(entered));
    say(`"${entered.name}" is on the shelf.`);
  } else {
    await shelf.changeMaterial(target.id, target.version, changesOf(entered, target));
  }
});
const { draft, problem, target } = drawer;

const edit = (material: ShelvedMaterial | 'new') =>
  drawer.begin(material, material === 'new' ? emptyMaterial() : draftOf(material));

const kindOptions = [
  { value: '', label: 'Every kind' },
  ...MATERIAL_KINDS.map(({ kind, label }) => ({ value: kind, label })),
];
const columns = computed(() =>
  columnsOf(shownColumns.value, measures.value.densityUnit, archived.value !== null),
);

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
    <Button type="text" :aria-pressed="archived !== null" @click="toggleArchived">
      {{ archived ? 'Back to the shelf' : 'Taken off' }}
    </Button>
    <ShelfFiles :listed="listed" />
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
    :scroll="{ x: 'max-content' }"
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
        {{ record.priceCents === null ? '' : money.show(record.priceCents) }}
      </template>
      <template v-else-if="column.key === 'actions'">
        <Button v-if="archived" type="link" size="small" @click="putBack(record as ShelvedMaterial)"
          >Put back</Button
        >
        <RowActions
          v-else
          :name="record.name"
          @change="edit(record as ShelvedMaterial)"
          @remove="remove(record as ShelvedMaterial)"
        />
      </template>
    </template>
  </Table>
  <RecordDrawer
    :drawer="drawer"
    form="material"
    :width="420"
    :title="target === 'new' ? 'Enter a material' : 'Change a material'"
  >
    <MaterialForm v-model="draft" :problem="problem" :kind-fixed="target !== 'new'" />
  </RecordDrawer>
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
  border-left: 4px solid var(--ink);
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
  font-weight: var(--weight-strong);
}

.swatch {
  flex: none;
  display: grid;
  grid-template-columns: 1fr 1fr;
  width: 34px;
  height: 22px;
  border: var(--paint-edge) solid var(--edge);
}

:deep(td) {
  white-space: nowrap;
}

.trust {
  font-size: var(--type-note);
  color: var(--ink-soft);
}

/* With the tray open, or on a tablet, where a number comes from stands under it. */
@container (width < 1040px) {
  .trust {
    display: block;
    line-height: 1.2;
  }
}
</style>
