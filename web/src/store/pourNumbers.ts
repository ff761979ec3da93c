import type { PourNumbers } from '@icy-ribbon/contract';
import { api } from '@icy-ribbon/contract/addresses';
import { learnCoverage } from '@icy-ribbon/core/judgement/cover';
import { driedPours, learnDrying } from '@icy-ribbon/core/judgement/drying';
import { defineStore } from 'pinia';
import { computed, shallowRef } from 'vue';
import { call } from '../api/client.ts';
import { useDevices } from './devices.ts';
import { usePiece } from './piece/piece.ts';

/** The numbers of one's own pours, for what is learned from them; the piece in hand is no evidence of itself. */
export const usePourNumbers = defineStore('pourNumbers', () => {
  const devices = useDevices();
  const store = usePiece();
  const all = shallowRef<readonly PourNumbers[]>([]);
  const pours = computed(() =>
    all.value.filter((pour) => pour.pieceId !== store.piece?.id && devices.counts(pour)),
  );

  async function load(): Promise<void> {
    await devices.ensure();
    all.value = (await call(api.results.numbers, { query: {} })).items;
  }

  /** How own pours correct the forecast of coverage. */
  const coverage = computed(() =>
    learnCoverage(
      pours.value.flatMap(({ technique, numbers: { coveredForecast, negativeSpace } }) =>
        typeof coveredForecast === 'number' && typeof negativeSpace === 'number'
          ? [{ technique, forecast: coveredForecast, covered: 1 - negativeSpace }]
          : [],
      ),
    ),
  );

  /** How own logs of when pieces were dry correct the forecast; a piece needs no photo for that. */
  const drying = computed(() => learnDrying(driedPours(all.value)));

  return { load, pours, coverage, drying };
});
