<script setup lang="ts">
import { AIR_TOOLS } from '@icy-ribbon/core/flow/air';
import { STAGES, TECHNIQUES } from '@icy-ribbon/core/paint/stage';
import { TECHNIQUE_LABELS } from '#words/general.ts';
import { Button, DatePicker, Input, Popover } from 'ant-design-vue';
import dayjs from 'dayjs';
import { computed, onMounted, ref } from 'vue';
import BareSelect from '#field/BareSelect.vue';
import { say, sayProblem } from '#notice/notices.ts';
import { attempt } from '#notice/useTask.ts';
import { usePieces } from '#store/pieces.ts';
import { useShelf } from '#store/shelf.ts';

/** What the results are narrowed by, and views that were saved. */
const store = usePieces();
const shelf = useShelf();
const open = ref(false);
const name = ref('');

onMounted(async () => {
  try {
    await Promise.all([shelf.ensure(), store.loadViews()]);
  } catch (error) {
    sayProblem(error);
  }
});

const all = (label: string) => ({ value: '', label });
const TECHNIQUE_OPTIONS = [
  all('All techniques'),
  ...TECHNIQUES.map((value) => ({ value, label: TECHNIQUE_LABELS[value] })),
];
const TOOLS = [all('Any tool'), ...AIR_TOOLS.map(({ tool, label }) => ({ value: tool, label }))];
const STAGE_OPTIONS = [
  all('Any stage'),
  ...STAGES.map((stage) => ({ value: stage.name, label: stage.name })),
];
const RATINGS = [
  all('Any rating'),
  ...[1, 2, 3, 4, 5].map((value) => ({ value, label: `${value} and better` })),
];
const STAND_INS = [all('All pictures'), { value: 'without', label: 'None by a stand-in' }];
const colors = computed(() => [
  all('Any color'),
  ...shelf.materials.map(({ id, name: label }) => ({ value: id, label })),
]);
const set = (key: string, value: unknown) =>
  store.narrow({ [key]: value === '' || value === null ? undefined : value });
const count = computed(
  () =>
    [
      store.filter.tool,
      store.filter.materialId,
      store.filter.stage,
      store.filter.ratingFrom,
      store.filter.from,
      store.filter.to,
      store.filter.standIns,
    ].filter((value) => value !== undefined).length,
);
const day = (value: string | undefined) => (value ? dayjs(value) : undefined);

async function save(): Promise<void> {
  if (name.value.trim() === '') return;
  await attempt(async () => {
    await store.saveView(name.value);
    say(`The view "${name.value}" is saved.`);
    name.value = '';
  });
}

function show(id: string): void {
  const view = store.views.find((each) => each.id === id);
  if (view) store.filter = { ...view.filter, page: 1, pageSize: store.filter.pageSize };
}

async function remove(id: string): Promise<void> {
  const view = store.views.find((each) => each.id === id);
  if (!view) return;
  await attempt(async () => {
    const removed = await store.removeView(view);
    say(`The view "${removed.name}" is gone.`, () => store.restoreView(removed).catch(sayProblem));
  });
}
</script>

<template>
  <BareSelect
    class="technique"
    :value="store.filter.technique ?? ''"
    :options="TECHNIQUE_OPTIONS"
    label="Technique"
    @update:value="set('technique', $event)"
  />
  <Popover v-model:open="open" trigger="click" placement="bottomLeft">
    <template #content>
      <div class="filters stacked">
        <BareSelect
          :value="store.filter.tool ?? ''"
          :options="TOOLS"
          label="Tool"
          @update:value="set('tool', $event)"
        />
        <BareSelect
          :value="store.filter.materialId ?? ''"
          :options="colors"
          label="Color"
          show-search
          option-filter-prop="label"
          @update:value="set('materialId', $event)"
        />
        <BareSelect
          :value="store.filter.stage ?? ''"
          :options="STAGE_OPTIONS"
          label="Stage of the colors"
          @update:value="set('stage', $event)"
        />
        <BareSelect
          :value="store.filter.ratingFrom ?? ''"
          :options="RATINGS"
          label="Rating"
          @update:value="set('ratingFrom', $event)"
        />
        <DatePicker
          :value="day(store.filter.from)"
          placeholder="poured from"
          aria-label="Poured from"
          @update:value="set('from', $event ? dayjs($event as never).format('YYYY-MM-DD') : null)"
        />
        <DatePicker
          :value="day(store.filter.to)"
          placeholder="poured until"
          aria-label="Poured until"
          @update:value="set('to', $event ? dayjs($event as never).format('YYYY-MM-DD') : null)"
        />
        <BareSelect
          :value="store.filter.standIns ?? ''"
          :options="STAND_INS"
          label="Pictures by a stand-in"
          @update:value="set('standIns', $event)"
        />
        <Button @click="store.clear()">Show everything</Button>
        <form class="save abreast" @submit.prevent="save">
          <Input v-model:value="name" placeholder="Name of this view" aria-label="Name of this view" />
          <Button html-type="submit">Save the view</Button>
        </form>
        <ul v-if="store.views.length > 0" aria-label="Saved views">
          <li v-for="view in store.views" :key="view.id">
            <Button type="link" size="small" @click="show(view.id)">{{ view.name }}</Button>
            <Button
              type="text"
              size="small"
              :aria-label="`Delete the view ${view.name}`"
              @click="remove(view.id)"
            >
              Delete
            </Button>
          </li>
        </ul>
      </div>
    </template>
    <Button>Filter{{ count > 0 ? `, ${count} set` : '' }}</Button>
  </Popover>
</template>

<style scoped>
.technique {
  width: 150px;
}

.filters {
  grid-template-columns: 190px 190px;
}

.save,
ul {
  grid-column: 1 / -1;
}

li {
  display: flex;
  justify-content: space-between;
}
</style>
