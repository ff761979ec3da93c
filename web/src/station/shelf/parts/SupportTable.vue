<script setup lang="ts">
import type { Support } from '@icy-ribbon/contract';
import { paintedArea } from '@icy-ribbon/core/piece/support';
import { Button, Table } from 'ant-design-vue';
import type { ColumnsType } from 'ant-design-vue/es/table';
import RecordDrawer from '../../../field/RecordDrawer.vue';
import RowActions from '../../../field/RowActions.vue';
import { useRecordDrawer } from '../../../field/useRecordDrawer.ts';
import { say } from '../../../notice/notices.ts';
import { attempt } from '../../../notice/useTask.ts';
import { useShelf } from '../../../store/shelf.ts';
import { useUnits } from '../../../store/units.ts';
import { useMeasures } from '../../../words/useMeasures.ts';
import { emptySupport, type SupportDraft } from '../../../field/supportDraft.ts';
import { SUPPORT_KIND_LABELS } from '../../../words/support.ts';
import SupportForm from '../../../field/SupportForm.vue';

const shelf = useShelf();
const units = useUnits();
const measures = useMeasures();

const drawer = useRecordDrawer<Support, SupportDraft>(emptySupport(), async (target, draft) => {
  const { name, kind, shape, widthMm, heightMm, sideDepthMm } = draft;
  const input = { name, kind, shape, widthMm, heightMm, sideDepthMm } as Parameters<
    typeof shelf.changeSupport
  >[2];
  if (target === 'new') await shelf.addSupport(input);
  else await shelf.changeSupport(target.id, target.version, input);
});
const { draft, problem, target } = drawer;

const columns: ColumnsType<Support> = [
  { title: 'Name', dataIndex: 'name', sorter: (a, b) => a.name.localeCompare(b.name) },
  { title: 'What it is', key: 'kind' },
  { title: 'Shape', dataIndex: 'shape' },
  {
    title: 'Size',
    key: 'size',
    align: 'right',
    sorter: (a, b) => a.widthMm * a.heightMm - b.widthMm * b.heightMm,
  },
  { title: 'Side depth', key: 'depth', align: 'right' },
  { title: 'Face and sides', key: 'area', align: 'right' },
  { title: '', key: 'actions', align: 'right' },
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
  <Table
    :columns="columns"
    :data-source="[...shelf.supports]"
    row-key="id"
    size="small"
    :scroll="{ x: 'max-content' }"
    :pagination="false"
    :locale="{ emptyText: 'No supports yet. Enter the first one.' }"
  >
    <template #bodyCell="{ column, record }">
      <template v-if="column.key === 'kind'">{{ SUPPORT_KIND_LABELS[(record as Support).kind] }}</template>
      <template v-else-if="column.key === 'size'">{{ size(record as Support) }}</template>
      <template v-else-if="column.key === 'depth'">{{ units.show('length', record.sideDepthMm) }}</template>
      <template v-else-if="column.key === 'area'">{{ area(record as Support) }}</template>
      <template v-else-if="column.key === 'actions'">
        <RowActions
          :name="record.name"
          @change="drawer.begin(record as Support, { ...(record as Support) })"
          @remove="remove(record as Support)"
        />
      </template>
    </template>
  </Table>
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
