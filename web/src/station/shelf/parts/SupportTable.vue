<script setup lang="ts">
import type { Support } from '@icy-ribbon/contract';
import { paintedArea } from '@icy-ribbon/core/piece/support';
import { Button } from 'ant-design-vue';
import RecordDrawer from '#field/RecordDrawer.vue';
import RowActions from '#field/RowActions.vue';
import { useRecordDrawer } from '#field/useRecordDrawer.ts';
import { say } from '#notice/notices.ts';
import { attempt } from '#notice/useTask.ts';
import { useShelf } from '#store/shelf.ts';
import { useUnits } from '#store/units.ts';
import { useMeasures } from '#words/useMeasures.ts';
import { emptySupport, type SupportDraft } from '#field/supportDraft.ts';
import { SUPPORT_KIND_LABELS } from '#words/support.ts';
import SupportForm from '#field/SupportForm.vue';
import ShelfTable from './ShelfTable.vue';
import type { TableColumn } from './tableColumn.ts';

const shelf = useShelf();
const units = useUnits();
const measures = useMeasures();

const drawer = useRecordDrawer<Support, SupportDraft>(emptySupport(), async (target, draft) => {
  const { name, kind, shape, widthMm, heightMm, sideDepthMm } = draft;
  const input = { name, kind, shape, widthMm, heightMm, sideDepthMm } as Parameters<
    typeof shelf.addSupport
  >[0];
  if (target === 'new') await shelf.addSupport(input);
  else await shelf.changeSupport(target, input);
});
const { draft, problem, target } = drawer;

const columns: readonly TableColumn<Support>[] = [
  { title: 'Name', key: 'name', sorter: (each) => each.name.toLowerCase() },
  { title: 'What it is', key: 'kind' },
  { title: 'Shape', key: 'shape' },
  { title: 'Size', key: 'size', isNumber: true, sorter: (each) => each.widthMm * each.heightMm },
  { title: 'Side depth', key: 'depth', isNumber: true },
  { title: 'Face and sides', key: 'area', isNumber: true },
  { title: '', key: 'actions', isNumber: true },
];

function size(support: Support): string {
  const width = units.show('length', support.widthMm);
  return support.shape === 'round'
    ? `${width} across`
    : `${units.showNumber('length', support.widthMm)} × ${units.show('length', support.heightMm)}`;
}

function area(support: Support): string {
  const { faceCm2, sidesCm2 } = paintedArea(support);
  return `${measures.value.area(faceCm2)} + ${measures.value.area(sidesCm2)}`;
}

const remove = (support: Support) =>
  attempt(async () => {
    const removed = await shelf.removeSupport(support);
    say(`"${support.name}" is off the shelf. Pieces on it keep it.`, () =>
      attempt(() => shelf.restoreSupport(removed)),
    );
  });
</script>

<template>
  <div class="bar">
    <Button type="primary" @click="drawer.begin('new', emptySupport())">Enter a support</Button>
  </div>
  <ShelfTable :columns="columns" :rows="shelf.supports" empty="No supports yet. Enter the first one.">
    <template #cell="{ column, row }">
      <template v-if="column === 'name'">{{ row.name }}</template>
      <template v-else-if="column === 'shape'">{{ row.shape }}</template>
      <template v-else-if="column === 'kind'">{{ SUPPORT_KIND_LABELS[row.kind] }}</template>
      <template v-else-if="column === 'size'">{{ size(row) }}</template>
      <template v-else-if="column === 'depth'">{{ units.show('length', row.sideDepthMm) }}</template>
      <template v-else-if="column === 'area'">{{ area(row) }}</template>
      <template v-else-if="column === 'actions'">
        <RowActions :name="row.name" @change="drawer.begin(row, { ...row })" @remove="remove(row)" />
      </template>
    </template>
  </ShelfTable>
  <RecordDrawer
    :drawer="drawer"
    form="support"
    :title="target === 'new' ? 'Enter a support' : 'Change a support'"
  >
    <SupportForm v-model="draft" :problem="problem" />
  </RecordDrawer>
</template>

<style scoped>
.bar {
  display: flex;
  justify-content: flex-end;
}
</style>
