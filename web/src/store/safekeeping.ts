import type { Safekeeping } from '@icy-ribbon/contract';
import { api } from '@icy-ribbon/contract/addresses';
import { defineStore } from 'pinia';
import { shallowRef } from 'vue';
import { call } from '../api/client.ts';

/** Copies of the studio, and what of it cannot be read. */
export const useSafekeeping = defineStore('safekeeping', () => {
  const shown = shallowRef<Safekeeping | null>(null);

  async function load(): Promise<void> {
    shown.value = await call(api.safekeeping.show);
  }

  async function backUp(): Promise<void> {
    await call(api.safekeeping.backUp);
    await load();
  }

  async function restore(name: string): Promise<void> {
    await call(api.safekeeping.restore, { params: { name } });
  }

  async function chooseSecond(path: string | null): Promise<void> {
    shown.value = await call(api.safekeeping.chooseSecond, { body: { path } });
  }

  return { shown, load, backUp, restore, chooseSecond };
});
