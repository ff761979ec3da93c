import type { OwnRecipe } from '@icy-ribbon/contract';
import { api, type BodyOf } from '@icy-ribbon/contract/addresses';
import { findSchool, SCHOOLS, type Recipe } from '@icy-ribbon/core/paint/recipe';
import { defineStore } from 'pinia';
import { computed, ref, shallowRef } from 'vue';
import { allPages } from '../api/allPages.ts';
import { call } from '../api/client.ts';
import { sendVersioned } from './versioned.ts';

export type RecipeInput = Omit<BodyOf<typeof api.recipes.create>, 'id'>;

/** The schools that ship and the artist's own recipes. */
export const useRecipes = defineStore('recipes', () => {
  const own = shallowRef<OwnRecipe[]>([]);
  const loaded = ref(false);

  const all = computed<Recipe[]>(() => [...own.value.map(asRecipe), ...SCHOOLS]);
  const find = (id: string): Recipe | undefined =>
    all.value.find((recipe) => recipe.id === id) ?? findSchool(id);

  async function load(): Promise<void> {
    own.value = await allPages((query) => call(api.recipes.list, { query }));
    loaded.value = true;
  }

  async function ensure(): Promise<void> {
    if (!loaded.value) await load();
  }

  /** Gives the id of the new recipe. */
  async function add(input: RecipeInput): Promise<string> {
    const { id } = await call(api.recipes.create, { body: { id: crypto.randomUUID(), ...input } });
    await load();
    return id;
  }

  async function change({ id, version }: OwnRecipe, input: RecipeInput): Promise<void> {
    await sendVersioned(version, { ...input }, (now) =>
      call(api.recipes.update, { params: { id }, body: { ...input, version: now } }),
    );
    await load();
  }

  async function remove({ id, version }: OwnRecipe): Promise<OwnRecipe> {
    const removed = await call(api.recipes.remove, { params: { id }, query: { version } });
    await load();
    return removed;
  }

  async function restore({ id, version }: OwnRecipe): Promise<void> {
    await call(api.recipes.restore, { params: { id }, body: { version } });
    await load();
  }

  return { own, all, find, load, ensure, add, change, remove, restore };
});

const asRecipe = ({
  thinning,
  restHours,
  waterLimit,
  doseFactor,
  never,
  blend,
  ...recipe
}: OwnRecipe): Recipe => ({
  ...recipe,
  ...(thinning && { thinning }),
  ...(restHours !== null && { restHours }),
  ...(waterLimit !== null && { waterLimit }),
  ...(doseFactor !== null && { doseFactor }),
  ...(never && { never }),
  ...(blend && { blend }),
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
