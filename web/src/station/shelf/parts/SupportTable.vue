<script setup lang="ts">
import type { Support } from '@icy-ribbon/contract';
import { paintedArea } from '@icy-ribbon/core/piece/support';
import { Button, Drawer, Table } from 'ant-design-vue';
import type { ColumnsType } from 'ant-design-vue/es/table';
import { ref } from 'vue';
import { say, sayProblem } from '../../../notice/notices.ts';
import { useShelf } from '../../../store/shelf.ts';
import { useUnits } from '../../../store/units.ts';
import { useMeasures } from '../../../words/useMeasures.ts';
import { emptySupport, type SupportDraft } from '../../../field/supportDraft.ts';
import SupportForm from '../../../field/SupportForm.vue';

const shelf = useShelf();
const units = useUnits();
const measures = useMeasures();
const editing = ref<Support | 'new' | null>(null);
const draft = ref<SupportDraft>(emptySupport());
const problem = ref<unknown>(null);

const columns: ColumnsType<Support> = [
  { title: 'Name', dataIndex: 'name', sorter: (a, b) => a.name.localeCompare(b.name) },
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

function edit(support: Support | 'new'): void {
  editing.value = support;
  draft.value = support === 'new' ? emptySupport() : { ...support };
  problem.value = null;
}

async function save(): Promise<void> {
  const target = editing.value;
  if (!target) return;
  const { name, shape, widthMm, heightMm, sideDepthMm } = draft.value;
  const input = { name, shape, widthMm, heightMm, sideDepthMm } as Parameters<typeof shelf.addSupport>[0];
  try {
    if (target === 'new') await shelf.addSupport(input);
    else await shelf.changeSupport(target.id, target.version, input);
    editing.value = null;
  } catch (error) {
    problem.value = error;
  }
}

async function remove(support: Support): Promise<void> {
  try {
    const removed = await shelf.removeSupport(support);
    say(`"${support.name}" is off the shelf. Pieces on it keep it.`, () =>
      shelf.restoreSupport(removed).catch(sayProblem),
    );
  } catch (error) {
    sayProblem(error);
  }
}
</script>

<template>
  <div class="bar">
    <Button type="primary" @click="edit('new')">Enter a support</Button>
  </div>
  <Table
    :columns="columns"
    :data-source="[...shelf.supports]"
    row-key="id"
    size="small"
    :pagination="false"
    :locale="{ emptyText: 'No supports yet. Enter the first one.' }"
  >
    <template #bodyCell="{ column, record }">
      <template v-if="column.key === 'size'">{{ size(record as Support) }}</template>
      <template v-else-if="column.key === 'depth'">{{ units.show('length', record.sideDepthMm) }}</template>
      <template v-else-if="column.key === 'area'">{{ area(record as Support) }}</template>
      <template v-else-if="column.key === 'actions'">
        <Button
          type="link"
          size="small"
          :aria-label="`Change ${record.name}`"
          @click="edit(record as Support)"
        >
          Change
        </Button>
        <Button
          type="link"
          size="small"
          :aria-label="`Take ${record.name} off the shelf`"
          @click="remove(record as Support)"
        >
          Take off
        </Button>
      </template>
    </template>
  </Table>
  <Drawer
    :open="editing !== null"
    :title="editing === 'new' ? 'Enter a support' : 'Change a support'"
    :width="400"
    @close="editing = null"
  >
    <form id="support" @submit.prevent="save">
      <SupportForm v-model="draft" :problem="problem" />
    </form>
    <template #footer>
      <Button type="primary" html-type="submit" form="support">Keep it</Button>
      <Button type="text" @click="editing = null">Leave it</Button>
    </template>
  </Drawer>
</template>

<style scoped>
.bar {
  display: flex;
  justify-content: flex-end;
}
</style>
