import { api } from '@icy-ribbon/contract/addresses';
import { useStorage } from '@vueuse/core';
import { defineStore } from 'pinia';
import { computed, ref } from 'vue';
import { call } from '../api/client.ts';

/**
 * Devices over and beside the table. A stand-in plays one that is not there: in the demo, else only where the artist
 * switched it on; what it tells says so in the record.
 */
export const useDevices = defineStore('devices', () => {
  /** "on" and "off" as chosen on this device; empty is not chosen. */
  const chosen = useStorage<'' | 'on' | 'off'>('icy-ribbon.stand-ins', '');
  const isDemo = ref(false);
  /** The server's database cannot be read. */
  const isDamaged = ref(false);
  const standIns = computed(() => (chosen.value === '' ? isDemo.value : chosen.value === 'on'));
  let asked: Promise<void> | undefined;

  function ensure(): Promise<void> {
    asked ??= call(api.health)
      .then(({ demo, status }) => {
        isDemo.value = demo;
        isDamaged.value = status === 'damaged';
      })
      .catch(() => void (asked = undefined));
    return asked;
  }

  function connect(on: boolean): void {
    chosen.value = on ? 'on' : 'off';
  }

  /** Whether a pour whose picture a stand-in made up is evidence: only where all is made up. */
  const counts = ({ standIn }: { readonly standIn: boolean }): boolean => !standIn || isDemo.value;

  return { standIns, isDamaged, ensure, connect, counts };
});
