import type { ShelvedMaterial } from '@icy-ribbon/contract';
import { materialKind } from '@icy-ribbon/core/paint/material';
import { computed, ref } from 'vue';
import { say } from '#notice/notices.ts';
import { attempt } from '#notice/useTask.ts';
import { useShelf } from '#store/shelf.ts';

/** Whether a material is one of a kind, and has some words in what can be read of it. */
export function isWanted(material: ShelvedMaterial, words: string, kind: string): boolean {
  const { name, finish, note } = material;
  const text = [name, materialKind(material.kind).label, finish, note].join(' ').toLowerCase();
  return (!kind || material.kind === kind) && text.includes(words.trim().toLowerCase());
}

/** The materials of the shelf as they are searched, chosen, taken off and put back. */
export function useMaterials() {
  const shelf = useShelf();
  const search = ref('');
  const kindFilter = ref('');
  const chosenIds = ref<string[]>([]);
  /** Those taken off the shelf, while they are shown. */
  const archived = ref<ShelvedMaterial[] | null>(null);

  const listed = computed(() => archived.value ?? shelf.materials);
  const shown = computed(() => listed.value.filter((each) => isWanted(each, search.value, kindFilter.value)));
  const chosen = computed(() => shelf.materials.filter((each) => chosenIds.value.includes(each.id)));

  const remove = (material: ShelvedMaterial) =>
    attempt(async () => {
      const removed = await shelf.removeMaterial(material);
      say(`"${material.name}" is off the shelf. Mixes made from it keep it.`, () =>
        attempt(() => shelf.restoreMaterial(removed)),
      );
    });

  const putBack = (material: ShelvedMaterial) =>
    attempt(async () => {
      await shelf.restoreMaterial(material);
      const rest = await shelf.archived();
      if (archived.value) archived.value = rest;
    });

  const toggleArchived = () =>
    attempt(async () => {
      chosenIds.value = [];
      archived.value = archived.value ? null : await shelf.archived();
    });

  const changeChosen = (changes: Parameters<typeof shelf.changeMany>[1]) =>
    attempt(async () => {
      await shelf.changeMany(chosen.value, changes);
      say(`${chosen.value.length} materials are changed.`);
      chosenIds.value = [];
    });

  return {
    search,
    kindFilter,
    listed,
    shown,
    chosen,
    chosenIds,
    archived,
    remove,
    putBack,
    toggleArchived,
    changeChosen,
  };
}
