import { api } from '@icy-ribbon/contract/addresses';
import { defineStore } from 'pinia';
import { ref } from 'vue';
import { call } from '../api/client.ts';

/** The piece an empty studio can look through, and take out again. */
export const useSample = defineStore('sample', () => {
  const pieceId = ref<string | null>(null);

  async function load(): Promise<void> {
    pieceId.value = (await call(api.sample.get)).pieceId;
  }

  async function add(): Promise<void> {
    pieceId.value = (await call(api.sample.add)).pieceId;
  }

  async function remove(): Promise<void> {
    pieceId.value = (await call(api.sample.remove)).pieceId;
  }

  return { pieceId, load, add, remove };
});
