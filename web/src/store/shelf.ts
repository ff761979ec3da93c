import type { Material, MaterialUpdate, ShelvedMaterial, Support } from '@icy-ribbon/contract';
import { api, type BodyOf } from '@icy-ribbon/contract/addresses';
import { defineStore } from 'pinia';
import { computed } from 'vue';
import { allPages } from '../api/allPages.ts';
import { call } from '../api/client.ts';
import { useImports } from './imports.ts';
import { useRecords } from './records.ts';

type MaterialInput = BodyOf<typeof api.materials.create>;
type MaterialChange = NonNullable<BodyOf<typeof api.materials.importAll>['changes']>[number];
type SupportInput = BodyOf<typeof api.supports.create>;

const PAGE_SIZE = 200;
/** The shelf is held whole, so that it can be searched and sorted at once. */
const SHELF_SIZE = 20_000;

/** Materials and supports on the shelf. */
export const useShelf = defineStore('shelf', () => {
  const imports = useImports();
  const material = useRecords<ShelvedMaterial, MaterialInput>(api.materials, SHELF_SIZE);
  const support = useRecords<Support, SupportInput>(api.supports, PAGE_SIZE);
  const loaded = computed(() => material.loaded.value && support.loaded.value);

  /** Each is there as soon as it arrives. */
  async function load(): Promise<void> {
    await Promise.all([support.load(), material.load()]);
  }

  async function ensure(): Promise<void> {
    if (!loaded.value) await load();
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
    const withIds = materials.map((each) => ({ id: crypto.randomUUID(), ...each }));
    const sent = call(api.materials.importAll, { body: { materials: withIds, changes: [...changes] } });
    const result = await imports.follow(sent);
    await material.load();
    return result?.materials;
  }

  /** The same change to several materials, all or none. */
  async function changeMany(
    chosen: readonly Pick<Material, 'id' | 'version'>[],
    changes: Omit<MaterialUpdate, 'version'>,
  ): Promise<void> {
    const list = chosen.map(({ id, version }) => ({ id, version }));
    await call(api.materials.bulk, { body: { materials: list, changes } });
    await material.load();
  }

  /** Materials that were taken off the shelf. */
  async function archived(): Promise<ShelvedMaterial[]> {
    return allPages(
      (query) => call(api.materials.list, { query: { ...query, archived: 'yes' } }),
      SHELF_SIZE,
    );
  }

  return {
    materials: material.items,
    supports: support.items,
    loaded,
    load,
    ensure,
    addMaterial: material.add,
    changeMaterial: material.change,
    removeMaterial: material.remove,
    restoreMaterial: material.restore,
    addAll,
    changeMany,
    archived,
    addSupport: support.add,
    changeSupport: support.change,
    removeSupport: support.remove,
    restoreSupport: support.restore,
  };
});
