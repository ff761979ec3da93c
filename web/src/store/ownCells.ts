import type { PourCells } from '@icy-ribbon/contract';
import { api } from '@icy-ribbon/contract/addresses';
import { forecastError, learnCells } from '@icy-ribbon/core/judgement/cells';
import { defineStore } from 'pinia';
import { computed, shallowRef } from 'vue';
import { call } from '../api/client.ts';
import { useDevices } from './devices.ts';
import { usePiece } from './piece/piece.ts';

/** How one's own measured pours correct the forecast of cells; the piece in hand is no evidence of itself. */
export const useOwnCells = defineStore('ownCells', () => {
  const store = usePiece();
  const devices = useDevices();
  const all = shallowRef<readonly PourCells[]>([]);
  const pours = computed(() =>
    all.value.filter((pour) => pour.pieceId !== store.piece?.id && devices.counts(pour)),
  );
  const forecast = computed(() => learnCells(pours.value));
  const error = computed(() => forecastError(pours.value));

  async function load(): Promise<void> {
    await devices.ensure();
    all.value = (await call(api.results.cells)).items;
  }

  return { load, forecast, error };
});
