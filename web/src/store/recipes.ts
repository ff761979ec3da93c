import { asRecipe, type OwnRecipe } from '@icy-ribbon/contract';
import { api, type BodyOf } from '@icy-ribbon/contract/addresses';
import { findSchool, SCHOOLS, type Recipe } from '@icy-ribbon/core/paint/recipe';
import { defineStore } from 'pinia';
import { computed } from 'vue';
import { useRecords } from './records.ts';

export type RecipeInput = Omit<BodyOf<typeof api.recipes.create>, 'id'>;

/** The schools that ship and the artist's own recipes. */
export const useRecipes = defineStore('recipes', () => {
  const { items: own, ...records } = useRecords<OwnRecipe, RecipeInput>(api.recipes);
  const all = computed<Recipe[]>(() => [...own.value.map(asRecipe), ...SCHOOLS]);
  const find = (id: string): Recipe | undefined =>
    all.value.find((recipe) => recipe.id === id) ?? findSchool(id);

  return { ...records, own, all, find };
});

/** A recipe of one's own that begins as another one is. */
export const copyOf = (recipe: Recipe): RecipeInput => ({
  name: `${recipe.name}, mine`,
  parts: recipe.parts.map((part) => ({ ...part })),
  techniques: [...recipe.techniques],
  cupRoles: [...recipe.cupRoles],
  goodFor: recipe.goodFor,
  trouble: recipe.trouble,
  thinning: recipe.thinning ?? null,
  restHours: recipe.restHours ?? null,
  waterLimit: recipe.waterLimit ?? null,
  doseFactor: recipe.doseFactor ?? null,
  never: recipe.never ? { kinds: [...recipe.never.kinds], because: recipe.never.because } : null,
  blend: recipe.blend?.map((part) => ({ ...part })) ?? null,
});
