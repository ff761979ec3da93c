import type { Material, MaterialUpdate, ShelvedMaterial, Support, SupportUpdate } from '@icy-ribbon/contract';
import { api, type BodyOf } from '@icy-ribbon/contract/addresses';
import { defineStore } from 'pinia';
import { ref, shallowRef } from 'vue';
import { allPages } from '../api/allPages.ts';
import { call } from '../api/client.ts';
import { useImports } from './imports.ts';
import { sendVersioned } from './versioned.ts';

type MaterialInput = BodyOf<typeof api.materials.create>;
type MaterialChange = NonNullable<BodyOf<typeof api.materials.importAll>['changes']>[number];
type SupportInput = BodyOf<typeof api.supports.create>;

const PAGE_SIZE = 200;
/** The shelf is held whole, so that it can be searched and sorted at once. */
const SHELF_SIZE = 20_000;

/** Materials and supports on the shelf. */
export const useShelf = defineStore('shelf', () => {
  const imports = useImports();
  const materials = shallowRef<ShelvedMaterial[]>([]);
  const supports = shallowRef<Support[]>([]);
  const loaded = ref(false);

  async function load(): Promise<void> {
    // Each is there as soon as it arrives.
    await Promise.all([
      allPages((query) => call(api.supports.list, { query }), PAGE_SIZE).then(
        (items) => (supports.value = items),
      ),
      allPages((query) => call(api.materials.list, { query }), SHELF_SIZE).then(
        (items) => (materials.value = items),
      ),
    ]);
    loaded.value = true;
  }

  async function ensure(): Promise<void> {
    if (!loaded.value) await load();
  }

  async function addMaterial(input: MaterialInput): Promise<Material> {
    const body = { id: crypto.randomUUID(), ...input };
    const material = await call(api.materials.create, { body });
    await load();
    return material;
  }

  /**
   * New ones and changes to those on the shelf at once, all or none.
   *
   * @returns how many came onto the shelf and how many changed; undefined when it was called off
   */
  async function addAll(
    materials: readonly MaterialInput[],
    changes: readonly MaterialChange[] = [],
  ): Promise<{ added: number; changed: number } | undefined> {
    const withIds = materials.map((material) => ({ id: crypto.randomUUID(), ...material }));
    const sent = call(api.materials.importAll, { body: { materials: withIds, changes: [...changes] } });
    const result = await imports.follow(sent);
    await load();
    return result?.materials;
  }

  /** The same change to several materials, all or none. */
  async function changeMany(
    chosen: readonly Pick<Material, 'id' | 'version'>[],
    changes: Omit<MaterialUpdate, 'version'>,
  ): Promise<void> {
    const list = chosen.map(({ id, version }) => ({ id, version }));
    await call(api.materials.bulk, { body: { materials: list, changes } });
    await load();
  }

  /** Materials that were taken off the shelf. */
  async function archived(): Promise<ShelvedMaterial[]> {
    return allPages(
      (query) => call(api.materials.list, { query: { ...query, archived: 'yes' } }),
      SHELF_SIZE,
    );
  }

  /** @returns false when the artist kept what was changed elsewhere */
  async function changeMaterial(
    id: string,
    version: number,
    changes: Omit<MaterialUpdate, 'version'>,
  ): Promise<boolean> {
    const done = await sendVersioned(version, changes, (current) =>
      call(api.materials.update, { params: { id }, body: { ...changes, version: current } }),
    );
    await load();
    return done !== undefined;
  }

  async function removeMaterial({ id, version }: Material): Promise<Material> {
    const removed = await call(api.materials.remove, { params: { id }, query: { version } });
    await load();
    return removed;
  }

  async function restoreMaterial({ id, version }: Material): Promise<void> {
    await call(api.materials.restore, { params: { id }, body: { version } });
    await load();
  }

  async function addSupport(input: SupportInput): Promise<Support> {
    const body = { id: crypto.randomUUID(), ...input };
    const support = await call(api.supports.create, { body });
    await load();
    return support;
  }

  async function changeSupport(
    id: string,
    version: number,
    changes: Omit<SupportUpdate, 'version'>,
  ): Promise<boolean> {
    const done = await sendVersioned(version, changes, (current) =>
      call(api.supports.update, { params: { id }, body: { ...changes, version: current } }),
    );
    await load();
    return done !== undefined;
  }

  async function removeSupport({ id, version }: Support): Promise<Support> {
    const removed = await call(api.supports.remove, { params: { id }, query: { version } });
    await load();
    return removed;
  }

  async function restoreSupport({ id, version }: Support): Promise<void> {
    await call(api.supports.restore, { params: { id }, body: { version } });
    await load();
  }

  return {
    materials,
    supports,
    loaded,
    load,
    ensure,
    addMaterial,
    addAll,
    changeMany,
    archived,
    changeMaterial,
    removeMaterial,
    restoreMaterial,
    addSupport,
    changeSupport,
    removeSupport,
    restoreSupport,
  };
});
