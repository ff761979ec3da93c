import type { Blower, Equipment, EquipmentCreate, Shelf, Vessel } from '@icy-ribbon/contract';
import { api } from '@icy-ribbon/contract/addresses';
import { defineStore } from 'pinia';
import { computed, ref, shallowRef } from 'vue';
import { allPages } from '../api/allPages.ts';
import { call } from '../api/client.ts';
import { sendVersioned } from './versioned.ts';

/** Cups and bottles to mix in, and blowers. */
export const useEquipment = defineStore('equipment', () => {
  const items = shallowRef<Equipment[]>([]);
  const loaded = ref(false);
  const vessels = computed(() => items.value.filter((each): each is Vessel => each.kind === 'vessel'));
  const blowers = computed(() => items.value.filter((each): each is Blower => each.kind === 'blower'));

  const shelves = computed(() => items.value.filter((each): each is Shelf => each.kind === 'shelf'));

  async function load(): Promise<void> {
    items.value = await allPages((query) => call(api.equipment.list, { query }));
    loaded.value = true;
  }

  async function ensure(): Promise<void> {
    if (!loaded.value) await load();
  }

  async function add(input: EquipmentCreate): Promise<void> {
    await call(api.equipment.create, { body: { ...input, id: crypto.randomUUID() } });
    await load();
  }

  async function change({ id, version }: Equipment, input: EquipmentCreate): Promise<void> {
    await sendVersioned(version, { ...input }, (now) =>
      call(api.equipment.update, { params: { id }, body: { ...input, version: now } }),
    );
    await load();
  }

  async function remove({ id, version }: Equipment): Promise<Equipment> {
    const removed = await call(api.equipment.remove, { params: { id }, query: { version } });
    await load();
    return removed;
  }

  async function restore({ id, version }: Equipment): Promise<void> {
    await call(api.equipment.restore, { params: { id }, body: { version } });
    await load();
  }

  return { items, vessels, blowers, shelves, load, ensure, add, change, remove, restore };
});
