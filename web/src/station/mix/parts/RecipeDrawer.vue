<script setup lang="ts">
import type { OwnRecipe } from '@icy-ribbon/contract';
import { materialKind, substitutesFor, type MaterialKind } from '@icy-ribbon/core/paint/material';
import { expand, type Recipe } from '@icy-ribbon/core/paint/recipe';
import { Button, Drawer } from 'ant-design-vue';
import { computed } from 'vue';
import RecordDrawer from '#field/RecordDrawer.vue';
import { useRecordDrawer } from '#field/useRecordDrawer.ts';
import { say, sayProblem } from '#notice/notices.ts';
import { attempt } from '#notice/useTask.ts';
import { copyOf, useRecipes, type RecipeInput } from '#store/recipes.ts';
import { useShelf } from '#store/shelf.ts';
import { TECHNIQUE_LABELS } from '#words/general.ts';
import RecipeForm from './RecipeForm.vue';
import { emptyRecipe } from './recipeDraft.ts';
import { partsInWords } from '#words/recipe.ts';

const emit = defineEmits<{ close: [] }>();
const recipes = useRecipes();
const shelf = useShelf();

const drawer = useRecordDrawer<OwnRecipe, RecipeInput>(emptyRecipe(), async (target, draft) => {
  await (target === 'new' ? recipes.add(draft) : recipes.change(target, draft));
});
const { draft, problem } = drawer;

/** What the artist can have: on the shelf, and either in stock or to be bought again. */
function isToBeHad(kind: MaterialKind): boolean {
  return shelf.materials.some(
    (each) => each.kind === kind && (each.canBuy || (each.stockMg ?? 0) - each.usedMg > 0),
  );
}

/** For each medium of a recipe that is not to be had: what to use instead, and what to expect. */
function instead(recipe: Recipe): string[] {
  const parts = expand(recipe.parts, {
    findRecipe: recipes.find,
    densityOf: (source) => (source.kind === 'material' ? materialKind(source.material).densityGPerMl : 1.1),
  });
  return parts.flatMap(({ of: source }) => {
    if (source.kind !== 'material' || isToBeHad(source.material)) return [];
    const label = materialKind(source.material).label;
    const stand = substitutesFor(source.material).find((each) =>
      each.parts.every((part) => isToBeHad(part.kind)),
    );
    if (!stand) return [`No ${label.toLowerCase()} to be had, and nothing on the shelf stands in for it.`];
    const words = stand.parts.map((part) => `${part.parts} ${materialKind(part.kind).label.toLowerCase()}`);
    return [`${label} is not to be had: for 1 part take ${words.join(' and ')}. ${stand.expect}`];
  });
}

const ownIds = computed(() => new Set(recipes.own.map((recipe) => recipe.id)));

const write = (from?: Recipe) => drawer.begin('new', from ? copyOf(from) : emptyRecipe());

function edit(recipe: Recipe): void {
  const own = recipes.own.find((each) => each.id === recipe.id);
  if (own) drawer.begin(own, { ...copyOf(recipe), name: own.name });
}

async function remove(recipe: Recipe): Promise<void> {
  const own = recipes.own.find((each) => each.id === recipe.id);
  if (!own) return;
  await attempt(async () => {
    const removed = await recipes.remove(own);
    say(`"${removed.name}" is deleted. Cups planned from it keep it.`, () =>
      recipes.restore(removed).catch(sayProblem),
    );
  });
}
</script>

<template>
  <Drawer open :width="620" title="Recipes" @close="emit('close')">
    <Button type="primary" @click="write()">Write a recipe</Button>
    <article v-for="recipe in recipes.all" :key="recipe.id">
      <h3>{{ recipe.name }} <span v-if="ownIds.has(recipe.id)" class="look own">your own</span></h3>
      <p>{{ partsInWords(recipe.parts, recipes.find) }}</p>
      <p v-for="variant in recipe.variants ?? []" :key="variant.name" class="soft">
        {{ variant.name }}: {{ partsInWords(variant.parts, recipes.find) }}
      </p>
      <p v-for="words in instead(recipe)" :key="words" class="look">{{ words }}</p>
      <p class="soft">
        {{ recipe.techniques.map((each) => TECHNIQUE_LABELS[each]).join(', ') }}. Good for:
        {{ recipe.goodFor || 'not said' }}. Watch: {{ recipe.trouble || 'not said' }}.
      </p>
      <p>
        <Button type="link" size="small" :aria-label="`Copy ${recipe.name}`" @click="write(recipe)">
          Copy and change
        </Button>
        <template v-if="ownIds.has(recipe.id)">
          <Button type="link" size="small" :aria-label="`Change ${recipe.name}`" @click="edit(recipe)">
            Change
          </Button>
          <Button type="link" size="small" :aria-label="`Delete ${recipe.name}`" @click="remove(recipe)">
            Delete
          </Button>
        </template>
      </p>
    </article>
  </Drawer>
  <RecordDrawer :drawer="drawer" form="recipe" title="Write a recipe" :width="620">
    <RecipeForm v-model="draft" :problem="problem" />
  </RecordDrawer>
</template>

<style scoped>
article {
  padding: 12px 0 4px;
  margin-top: 12px;
  border-top: 1px solid var(--rule);
}

.own {
  font-size: var(--type-note);
  font-weight: var(--weight-plain);
}
</style>
