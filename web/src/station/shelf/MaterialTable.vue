<script setup lang="ts">
import type { Material } from '@icy-ribbon/contract';
import { MATERIAL_KINDS, materialKind } from '@icy-ribbon/core/material';
import { stageOf } from '@icy-ribbon/core/thickness';
import { Button, Drawer, Input, Table } from 'ant-design-vue';
import type { ColumnsType } from 'ant-design-vue/es/table';
import { computed, ref } from 'vue';
import { say, sayProblem } from '../../notice/notices.ts';
import { useShelf } from '../../store/shelf.ts';
import { draftOf, emptyMaterial, typicalOf, type MaterialDraft } from './drafts.ts';
import MaterialForm from './MaterialForm.vue';

const shelf = useShelf();
const search = ref('');
const editing = ref<Material | 'new' | null>(null);
const draft = ref<MaterialDraft>(emptyMaterial());
const problem = ref<unknown>(null);

const shown = computed(() => {
  const wanted = search.value.trim().toLowerCase();
  if (!wanted) return shelf.materials;
  return shelf.materials.filter((material) =>
    [material.name, materialKind(material.kind).label, material.finish, material.note]
      .join(' ')
      .toLowerCase()
      .includes(wanted),
  );
});

const kindOrder = new Map(MATERIAL_KINDS.map(({ kind }, index) => [kind as string, index]));
const by =
  <Value extends string | number>(read: (material: Material) => Value) =>
  (a: Material, b: Material) =>
    read(a) < read(b) ? -1 : read(a) > read(b) ? 1 : 0;

const columns: ColumnsType<Material> = [
  { title: 'Name', key: 'name', sorter: by((each) => each.name.toLowerCase()) },
  {
    title: 'Kind',
    key: 'kind',
    sorter: by((each) => kindOrder.get(each.kind) ?? 0),
    defaultSortOrder: 'ascend',
  },
  { title: 'Finish', dataIndex: 'finish', sorter: by((each) => each.finish) },
  { title: 'Opacity', dataIndex: 'opacity', sorter: by((each) => each.opacity) },
  { title: 'Density, g/ml', key: 'density', align: 'right', sorter: by((each) => each.densityGPerMl) },
  { title: 'Thickness, Pa·s', key: 'viscosity', align: 'right', sorter: by((each) => each.viscosityPaS) },
  { title: '', key: 'actions', align: 'right' },
];

function edit(material: Material | 'new'): void {
  editing.value = material;
  draft.value = material === 'new' ? emptyMaterial() : draftOf(material);
  problem.value = null;
}

async function save(): Promise<void> {
  const target = editing.value;
  if (!target) return;
  const { kind, densityGPerMl, viscosityPaS, ...rest } = draft.value;
  try {
    if (target === 'new') {
      await shelf.addMaterial({
        ...rest,
        kind,
        ...(densityGPerMl !== null && { densityGPerMl }),
        ...(viscosityPaS !== null && { viscosityPaS }),
      });
      say(`"${rest.name}" is on the shelf.`);
    } else {
      const typical = typicalOf(draft.value);
      await shelf.changeMaterial(target.id, target.version, {
        ...rest,
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

async function remove(material: Material): Promise<void> {
  try {
    const removed = await shelf.removeMaterial(material);
    say(`"${material.name}" is off the shelf. Mixes made from it keep it.`, () =>
      shelf.restoreMaterial(removed).catch(sayProblem),
    );
  } catch (error) {
    sayProblem(error);
  }
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
    <Button type="primary" @click="edit('new')">Enter a material</Button>
  </div>
  <Table
    :columns="columns"
    :data-source="[...shown]"
    row-key="id"
    size="small"
    :pagination="false"
    :locale="{ emptyText: 'Nothing on the shelf by that name.' }"
  >
    <template #bodyCell="{ column, record }">
      <template v-if="column.key === 'name'">
        <span class="name">
          <span class="swatch" :style="{ background: record.colorHex }"></span>
          {{ record.name }}
        </span>
      </template>
      <template v-else-if="column.key === 'kind'">{{ materialKind(record.kind).label }}</template>
      <template v-else-if="column.key === 'density'">
        <span class="trust">{{ record.densityTrust }}</span> {{ record.densityGPerMl.toFixed(3) }}
      </template>
      <template v-else-if="column.key === 'viscosity'">
        <span class="trust">{{ record.viscosityTrust }}, {{ stageOf(record.viscosityPaS).name }}</span>
        {{ Number(record.viscosityPaS.toPrecision(3)) }}
      </template>
      <template v-else-if="column.key === 'actions'">
        <Button
          type="link"
          size="small"
          :aria-label="`Change ${record.name}`"
          @click="edit(record as Material)"
        >
          Change
        </Button>
        <Button
          type="link"
          size="small"
          :aria-label="`Take ${record.name} off the shelf`"
          @click="remove(record as Material)"
        >
          Take off
        </Button>
      </template>
    </template>
  </Table>
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
.bar {
  display: grid;
  grid-template-columns: minmax(0, 360px) auto;
  justify-content: space-between;
  gap: 16px;
}

.name {
  display: flex;
  align-items: center;
  gap: 12px;
  font-weight: 500;
}

.swatch {
  flex: none;
  width: 34px;
  height: 22px;
  border: 1px solid var(--ice-deep);
}

.trust {
  font-size: 13px;
  color: var(--ink-soft);
}
</style>
