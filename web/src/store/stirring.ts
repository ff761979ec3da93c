import type { StirringOrder } from '@icy-ribbon/core/paint/mix';
import { useStorage } from '@vueuse/core';
import { defineStore } from 'pinia';

/** In which order the cups of a recipe are filled; an artist's habit, kept by this browser. */
export const useStirring = defineStore('stirring', () => {
  const kept = useStorage<Record<string, StirringOrder>>('icy-ribbon.stirring', {});
  const orderOf = (recipeId: string): StirringOrder => kept.value[recipeId] ?? 'half-medium';
  const choose = (recipeId: string, order: StirringOrder) => {
    kept.value = { ...kept.value, [recipeId]: order };
  };
  return { orderOf, choose };
});
