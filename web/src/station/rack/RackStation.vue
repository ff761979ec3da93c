<script setup lang="ts">
import type { Shelf } from '@icy-ribbon/contract';
import { api } from '@icy-ribbon/contract/addresses';
import { GAP_MM, stillFits } from '@icy-ribbon/core/piece/care';
import { useElementSize } from '@vueuse/core';
import { Button } from 'ant-design-vue';
import { computed, defineAsyncComponent, onMounted, ref, useTemplateRef } from 'vue';
import { useRoute } from 'vue-router';
import { call } from '#api/client.ts';
import EmptyDrawing from '#drawing/EmptyDrawing.vue';
import RecordDrawer from '#field/RecordDrawer.vue';
import { useRecordDrawer } from '#field/useRecordDrawer.ts';
import { say } from '#notice/notices.ts';
import { attempt } from '#notice/useTask.ts';
import { useDevices } from '#store/devices.ts';
import { useEquipment } from '#store/equipment.ts';
import { useRack } from '#store/rack.ts';
import { useShelf } from '#store/shelf.ts';
import { useUnits } from '#store/units.ts';
import { supportWords } from '#words/support.ts';
import { COLD_C } from '#words/coat.ts';
import { rackConflicts } from './parts/conflicts.ts';
import OnNoShelf from './parts/OnNoShelf.vue';
import ShelfForm from './parts/ShelfForm.vue';
import ShelfFront from './parts/ShelfFront.vue';
import { emptyShelf, shelfDraft, shelfInput, type ShelfDraft } from './parts/shelfDraft.ts';

const ShowList = defineAsyncComponent(() => import('./parts/ShowList.vue'));
const WorkCalendar = defineAsyncComponent(() => import('./parts/WorkCalendar.vue'));

const rack = useRack();
const equipment = useEquipment();
const devices = useDevices();
const supports = useShelf();
const units = useUnits();
const route = useRoute();
const roomC = ref<number | null>(null);

onMounted(() =>
  attempt(async () => {
    await Promise.all([rack.load(), supports.load(), devices.ensure()]);
    if (devices.standIns) roomC.value = (await call(api.climate.now)).temperatureC;
  }),
);

const VIEWS = [
  { key: 'shelves', label: 'Shelves' },
  { key: 'calendar', label: 'Calendar' },
  { key: 'show', label: 'Shows and sales' },
] as const;
const view = computed(() => VIEWS.find(({ key }) => key === route.query.view)?.key ?? 'shelves');

const bench = useTemplateRef<HTMLElement>('bench');
const { width } = useElementSize(bench);
const widest = computed(() =>
  Math.max(1, ...equipment.shelves.map(({ slots }) => slots.reduce((sum, { widthMm }) => sum + widthMm, 0))),
);
/** All shelves to one scale; a small one is not blown up beyond what is seen well. */
const MOST_PX_PER_MM = 0.8;
const pxPerMm = computed(() => Math.min(MOST_PX_PER_MM, width.value / widest.value));

const sizes = computed(() => {
  const seen = new Map(supports.supports.map((support) => [supportWords(support, units), support] as const));
  return [...seen].map(([words, support]) => ({ words, ...support }));
});
const capacity = computed(() =>
  equipment.shelves.map((shelf) => {
    const lying = (slotId: string) => rack.lyingAt(shelf.id, slotId).map(({ piece }) => piece.support);
    const fits = stillFits(shelf, lying, sizes.value)
      .sort((a, b) => b.size.widthMm * b.size.heightMm - a.size.widthMm * a.size.heightMm)
      .slice(0, 3);
    return { shelf, words: fits.map(({ size, count }) => `${count} of ${size.words}`).join(', or ') };
  }),
);
const conflicts = computed(() =>
  rackConflicts({
    dates: rack.dates,
    nowMs: rack.nowMs,
    roomC: roomC.value,
    warm: units.show('temperature', COLD_C),
    coming: rack.items.filter(({ phase }) => phase === 'mixed'),
    fitsSomewhere: (size) =>
      equipment.shelves.length === 0 || rack.slotsFor(size).some(({ lying }) => lying !== null),
    crowded: equipment.shelves.flatMap((shelf) =>
      shelf.slots.flatMap((slot) => {
        const lying = rack.lyingAt(shelf.id, slot.id);
        const [first] = lying;
        const free = first && rack.slotsFor(first.piece.support).find(({ slot: { id } }) => id === slot.id);
        return free && free.free < -GAP_MM
          ? [{ slot: `${shelf.name}, ${slot.name}`, names: lying.map(({ piece }) => piece.name) }]
          : [];
      }),
    ),
  }),
);

const drawer = useRecordDrawer<Shelf, ShelfDraft>(emptyShelf(), async (target, draft) => {
  const input = shelfInput(draft) as never;
  if (target === 'new') await equipment.add(input);
  else await equipment.change(target, input);
});
const { draft, problem } = drawer;
const removeShelf = (shelf: Shelf) =>
  attempt(async () => {
    const removed = await equipment.remove(shelf);
    say(`"${removed.name}" is taken down.`, () => attempt(() => equipment.restore(removed)));
  });
</script>

<template>
  <main class="rack stacked gap-16">
    <header>
      <h1>Rack</h1>
      <nav class="views" aria-label="Views of the rack">
        <RouterLink
          v-for="{ key, label } in VIEWS"
          :key="key"
          :to="{ name: 'rack', query: key === 'shelves' ? {} : { view: key } }"
          :aria-current="view === key ? 'page' : undefined"
          >{{ label }}</RouterLink
        >
      </nav>
      <Button v-if="view === 'shelves'" class="add" @click="drawer.begin('new', emptyShelf())">
        Put up a shelf
      </Button>
    </header>
    <WorkCalendar v-if="view === 'calendar'" />
    <ShowList v-else-if="view === 'show'" />
    <template v-else>
      <p v-for="conflict in conflicts" :key="conflict" class="look" role="status">{{ conflict }}</p>
      <div ref="bench" class="shelves stacked gap-12">
        <div v-for="{ shelf, words } in capacity" :key="shelf.id">
          <div class="title">
            <h2>{{ shelf.name }}</h2>
            <span class="soft">{{ words ? `still fits ${words}` : 'full' }}</span>
            <span class="actions">
              <Button type="link" size="small" @click="drawer.begin(shelf, shelfDraft(shelf))">Change</Button>
              <Button type="link" size="small" @click="removeShelf(shelf)">Take down</Button>
            </span>
          </div>
          <ShelfFront :shelf="shelf" :px-per-mm="pxPerMm" />
        </div>
        <div v-if="rack.loaded && equipment.shelves.length === 0" class="empty stacked gap-12">
          <EmptyDrawing kind="support" />
          <p>
            Enter the shelves that your pieces dry on: you see what lies where, how far it has dried, and what
            still fits.
          </p>
          <Button type="primary" @click="drawer.begin('new', emptyShelf())">Put up the first shelf</Button>
        </div>
      </div>
      <OnNoShelf v-if="rack.elsewhere.length > 0" />
      <p v-else-if="rack.loaded && rack.drying.length === 0" class="soft">
        Nothing dries. A piece comes here by itself once it is poured.
      </p>
    </template>
    <RecordDrawer :drawer="drawer" form="shelf" title="A shelf of the rack">
      <ShelfForm v-model="draft" :problem="problem" />
    </RecordDrawer>
  </main>
</template>

<style scoped>
.rack {
  align-content: start;
  padding: 16px 24px;
}

header,
.title {
  display: flex;
  flex-wrap: wrap;
  align-items: baseline;
  gap: 8px 24px;
}

.add {
  margin-left: auto;
}

.title {
  gap: 8px 12px;
  padding-bottom: 4px;
}

.actions {
  margin-left: auto;
}

.shelves {
  min-width: 0;
}

.empty {
  justify-items: start;
  max-width: 480px;
}
</style>
