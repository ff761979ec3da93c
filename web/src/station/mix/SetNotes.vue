<script setup lang="ts">
import { materialKind } from '@icy-ribbon/core/material';
import { batchesOf } from '@icy-ribbon/core/recipe';
import { toG, toMg } from '@icy-ribbon/core/unit';
import { computed } from 'vue';
import type { Cup } from '../../store/piece.ts';
import { useBatches } from '../../store/batches.ts';
import { useRecipes } from '../../store/recipes.ts';
import { useShelf } from '../../store/shelf.ts';
import { useUnits } from '../../store/units.ts';
import { shortMaterials } from './setCheck.ts';

/** What concerns the set as a whole: media to make first, and what the shelf has too little of. */
const props = defineProps<{ cups: readonly Cup[] }>();

const made = useBatches();
const recipes = useRecipes();
const shelf = useShelf();
const units = useUnits();

const batches = computed(() =>
  batchesOf(
    props.cups
      .filter((cup) => cup.state.phase !== 'mixed')
      .flatMap(({ mix, state }) => {
        const recipe = recipes.find(mix.recipe.id);
        return recipe ? [{ name: mix.name, recipe, massG: toG(state.targetMg) }] : [];
      }),
    {
      findRecipe: recipes.find,
      densityOf: (source) =>
        source.kind === 'material' ? materialKind(source.material).densityGPerMl : undefined,
    },
  )
    .filter((batch) => batch.forCups.length > 1)
    .map((batch) => ({
      id: batch.recipeId,
      words: `Make ${units.show('mass', toMg(batch.massG))} ${batch.name.toLowerCase()} first, for ${batch.forCups.join(', ')}: ${batch.parts
        .map((part) => {
          const name =
            part.of.kind === 'material' ? materialKind(part.of.material).label.toLowerCase() : 'paint';
          return `${units.show('mass', toMg(part.massG))} ${name}`;
        })
        .join(' and ')}.`,
    })),
);
const short = computed(() => shortMaterials(props.cups, shelf.materials));
</script>

<template>
  <ul v-if="batches.length > 0 || short.length > 0">
    <li v-for="batch in batches" :key="batch.id">
      {{ batch.words }}
      <label>
        <input
          type="checkbox"
          :checked="made.made.includes(batch.id)"
          @change="made.setMade(batch.id, ($event.target as HTMLInputElement).checked)"
        />
        It is made: pour it as one
      </label>
    </li>
    <li v-for="each in short" :key="each.name" class="look">
      {{ each.name }} runs out: this set needs {{ units.show('mass', each.needMg) }},
      {{ units.show('mass', each.leftMg) }} is left.
    </li>
  </ul>
</template>

<style scoped>
label {
  margin-left: 12px;
  white-space: nowrap;
}

ul {
  margin: 0;
  padding: 0 24px 6px;
  list-style: none;
}
</style>
