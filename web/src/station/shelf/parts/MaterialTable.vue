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
import { Button, CheckboxGroup, Input, Popover } from 'ant-design-vue';
import { computed } from 'vue';
import BareSelect from '#field/BareSelect.vue';
import RecordDrawer from '#field/RecordDrawer.vue';
import RowActions from '#field/RowActions.vue';
import { useRecordDrawer } from '#field/useRecordDrawer.ts';
import { say } from '#notice/notices.ts';
import { useShelf } from '#store/shelf.ts';
import { useMoney } from '#store/money.ts';
import { useUnits } from '#store/units.ts';
import { useMeasures } from '#words/useMeasures.ts';
import { columnsOf, OPTIONAL_COLUMNS, type ColumnKey } from './materialColumns.ts';
import { changesOf, draftOf, emptyMaterial, materialOf, type MaterialDraft } from './materialDraft.ts';
import MaterialForm from './MaterialForm.vue';
import ShelfFiles from './ShelfFiles.vue';
import ShelfTable from './ShelfTable.vue';
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
    await shelf.changeMaterial(target, changesOf(entered, target));
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

/** What the columns say that a narrow screen has no room for. */
const inShort = ({ kind, finish, opacity }: ShelvedMaterial): string =>
  [
    materialKind(kind).label,
    ...(shownColumns.value.includes('finish') ? [finish] : []),
    ...(shownColumns.value.includes('opacity') ? [opacity] : []),
  ].join(', ');

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
        <CheckboxGroup
          v-model:value="shownColumns"
          class="checks stacked gap-4"
          :options="[...OPTIONAL_COLUMNS]"
        />
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
  <ShelfTable
    :columns="columns"
    :rows="shown"
    sorted-by="kind"
    :empty="archived ? 'Nothing was taken off.' : 'Nothing on the shelf by that name.'"
  >
    <template #cell="{ column, row }">
      <template v-if="column === 'choose'">
        <input
          v-model="chosenIds"
          class="choose"
          type="checkbox"
          :value="row.id"
          :aria-label="`Choose ${row.name}`"
        />
      </template>
      <template v-else-if="column === 'name'">
        <span class="name abreast centered gap-12">
          <span class="swatch">
            <span :style="{ background: row.colorHex }"></span>
            <span :style="{ background: row.dryColorHex ?? row.colorHex }"></span>
          </span>
          <span>
            {{ row.name }}
            <span class="soft kind-below">{{ inShort(row) }}</span>
          </span>
        </span>
      </template>
      <template v-else-if="column === 'kind'">{{ materialKind(row.kind).label }}</template>
      <template v-else-if="column === 'density'">
        <span class="trust">{{ row.densityTrust }}</span>
        {{ measures.densityNumber(row.densityGPerMl, 3) }}
      </template>
      <template v-else-if="column === 'viscosity'">
        <span
          class="trust"
          :title="row.learned ? `Learned from ${row.learned.readings} readings of its cups` : undefined"
        >
          {{ row.learned ? 'learned' : row.viscosityTrust }},
          {{ stageOf(row.learned?.viscosityPaS ?? row.viscosityPaS).name }}
        </span>
        {{ Number((row.learned?.viscosityPaS ?? row.viscosityPaS).toPrecision(row.learned ? 2 : 3)) }}
      </template>
      <template v-else-if="column === 'stock'">{{ stock(row) }}</template>
      <template v-else-if="column === 'price'">
        {{ row.priceCents === null ? '' : money.show(row.priceCents) }}
      </template>
      <template v-else-if="column === 'finish'">{{ row.finish }}</template>
      <template v-else-if="column === 'opacity'">{{ row.opacity }}</template>
      <template v-else-if="column === 'opened'">{{ row.openedOn }}</template>
      <template v-else-if="column === 'note'">{{ row.note }}</template>
      <template v-else-if="column === 'actions'">
        <Button v-if="archived" type="link" size="small" @click="putBack(row)">Put back</Button>
        <RowActions v-else :name="row.name" @change="edit(row)" @remove="remove(row)" />
      </template>
    </template>
  </ShelfTable>
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

.name {
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

.kind-below {
  display: none;
  font-size: var(--type-note);
  font-weight: var(--weight-plain);
  line-height: 1.2;
}

/* On a tablet or a phone, what it is stands under its name. */
@container (width < 760px) {
  .kind-below {
    display: block;
  }

  :deep(:is(.of-kind, .of-finish, .of-opacity)) {
    display: none;
  }
}
</style>
