import type { DrillRun, DrillRunCreate } from '@icy-ribbon/contract';
import { api } from '@icy-ribbon/contract/addresses';
import { dueOf, type DrillName, type Due } from '@icy-ribbon/core/drill/schedule';
import { eyeOf, type Eye } from '@icy-ribbon/core/thickness/reading';
import { defineStore } from 'pinia';
import { computed, ref, shallowRef } from 'vue';
import { allPages } from '../api/allPages.ts';
import { call } from '../api/client.ts';

/** An eye changes with practice: so many of the last answers count. */
const COUNTS = 80;
/** Fewer answers than this say nothing of an eye yet. */
const TELLING = 8;

/** Drills that were played, the newest first; and what they say of the artist's eye. */
export const useDrills = defineStore('drills', () => {
  const items = shallowRef<DrillRun[]>([]);
  const loaded = ref(false);

  async function load(): Promise<void> {
    items.value = await allPages((query) => call(api.drills.list, { query }));
    loaded.value = true;
  }

  async function ensure(): Promise<void> {
    if (!loaded.value) await load();
  }

  async function add(input: Omit<DrillRunCreate, 'id'>): Promise<DrillRun> {
    const kept = await call(api.drills.create, { body: { ...input, id: crypto.randomUUID() } });
    await load();
    return kept;
  }

  async function remove({ id, version }: DrillRun): Promise<DrillRun> {
    const removed = await call(api.drills.remove, { params: { id }, query: { version } });
    await load();
    return removed;
  }

  async function restore({ id, version }: DrillRun): Promise<void> {
    await call(api.drills.restore, { params: { id }, body: { version } });
    await load();
  }

  /** Runs of one drill, the oldest first. */
  const runsOf = (drill: DrillName): DrillRun[] =>
    items.value.filter((each) => each.drill === drill).reverse();

  const dueFor = (drill: DrillName): Due =>
    dueOf(
      runsOf(drill).map(({ createdAt, score }) => ({ at: createdAt, score })),
      new Date().toISOString(),
    );

  const named = computed(() =>
    items.value
      .filter(({ drill }) => drill === 'mound')
      .flatMap(({ answers }) => answers.map(({ shown, said }) => ({ shownPaS: shown, saidPaS: said })))
      .slice(0, COUNTS),
  );

  /** How this artist's words for thickness lie; null while too few were named. */
  const eye = computed((): Eye | null => (named.value.length < TELLING ? null : eyeOf(named.value)));

  return { items, eye, ensure, load, add, remove, restore, runsOf, dueFor };
});
