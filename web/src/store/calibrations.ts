import type { Calibration, CalibrationCreate, CalibrationKind } from '@icy-ribbon/contract';
import { api } from '@icy-ribbon/contract/addresses';
import { defineStore } from 'pinia';
import { ref, shallowRef } from 'vue';
import { allPages } from '../api/allPages.ts';
import { call } from '../api/client.ts';

/** Calibrated cards, mounds and cups with a hole; the newest of each kind comes first. */
export const useCalibrations = defineStore('calibrations', () => {
  const items = shallowRef<Calibration[]>([]);
  const loaded = ref(false);

  const ofKind = (kind: CalibrationKind): Calibration[] => items.value.filter((each) => each.kind === kind);

  async function load(): Promise<void> {
    items.value = await allPages((query) => call(api.calibrations.list, { query }));
    loaded.value = true;
  }

  async function ensure(): Promise<void> {
    if (!loaded.value) await load();
  }

  async function add(input: CalibrationCreate): Promise<void> {
    await call(api.calibrations.create, { body: { ...input, id: crypto.randomUUID() } });
    await load();
  }

  async function remove({ id, version }: Calibration): Promise<Calibration> {
    const removed = await call(api.calibrations.remove, { params: { id }, query: { version } });
    await load();
    return removed;
  }

  async function restore({ id, version }: Calibration): Promise<void> {
    await call(api.calibrations.restore, { params: { id }, body: { version } });
    await load();
  }

  return { items, ofKind, load, ensure, add, remove, restore };
});
