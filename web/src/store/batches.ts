import { useStorage } from '@vueuse/core';
import { defineStore } from 'pinia';
import { computed } from 'vue';
import { usePiece } from './piece.ts';

/** Which media were made as a batch for the piece in hand. */
export const useBatches = defineStore('batches', () => {
  const piece = usePiece();
  const byPiece = useStorage<Record<string, string[]>>('icy-ribbon.batches', {});
  const made = computed(() => byPiece.value[piece.piece?.id ?? ''] ?? []);

  function setMade(recipeId: string, isMade: boolean): void {
    const id = piece.piece?.id;
    if (!id) return;
    const others = made.value.filter((each) => each !== recipeId);
    byPiece.value = { ...byPiece.value, [id]: isMade ? [...others, recipeId] : others };
  }

  return { made, setMade };
});
