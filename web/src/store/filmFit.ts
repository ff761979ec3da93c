import type { KeptFilmFit } from '@icy-ribbon/contract';
import { api } from '@icy-ribbon/contract/addresses';
import type { FilmFit } from '@icy-ribbon/core/judgement/fit';
import { defineStore } from 'pinia';
import { shallowRef } from 'vue';
import { call } from '../api/client.ts';

/** What the artist's measured pours say of the film's unknowns. */
export const useFilmFit = defineStore('filmFit', () => {
  const kept = shallowRef<KeptFilmFit | null>(null);

  async function load(): Promise<void> {
    kept.value = (await call(api.filmFit.get)).fit;
  }

  /** Keeps a fit; null goes back to the usual unknowns. */
  async function keep(fit: FilmFit | null): Promise<void> {
    kept.value = (await call(api.filmFit.put, { body: { fit } })).fit;
  }

  return { kept, load, keep };
});
