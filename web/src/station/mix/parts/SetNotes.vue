<script setup lang="ts">
import { materialKind } from '@icy-ribbon/core/paint/material';
import { batchesOf } from '@icy-ribbon/core/paint/recipe';
import { toG, toMg } from '@icy-ribbon/core/base/unit';
import { Button } from 'ant-design-vue';
import { computed } from 'vue';
import { attempt } from '#notice/useTask.ts';
import { usePiece, type Cup } from '#store/piece/piece.ts';
import { useRecipes } from '#store/recipes.ts';
import { useShelf } from '#store/shelf.ts';
import { useUnits } from '#store/units.ts';
import { shortMaterials } from './setCheck.ts';

/** What stays on the walls of the cup a medium is made in. */
const SPARE_SHARE = 0.03;

/** What concerns the set as a whole: media to make first, and what the shelf has too little of. */
const props = defineProps<{ cups: readonly Cup[] }>();

const store = usePiece();
const recipes = useRecipes();
const shelf = useShelf();
const units = useUnits();

const batches = computed(() =>
  batchesOf(
    props.cups
      .filter((cup) => cup.state.phase === 'planned' && cup.mix.role !== 'medium')
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
    .filter(
      (batch) =>
        batch.forCups.length > 1 &&
        !props.cups.some((cup) => cup.mix.role === 'medium' && cup.mix.recipe.id === batch.recipeId),
    )
    .map((batch) => ({
      id: batch.recipeId,
      totalMg: Math.ceil((toMg(batch.massG) * (1 + SPARE_SHARE)) / 100) * 100,
      words: `Shared: ${units.show('mass', toMg(batch.massG))} ${batch.name.toLowerCase()} for ${batch.forCups.join(', ')}: ${batch.parts
        .map((part) => {
          const name =
            part.of.kind === 'material' ? materialKind(part.of.material).label.toLowerCase() : 'paint';
          return `${units.show('mass', toMg(part.massG))} ${name}`;
        })
        .join(' and ')}.`,
    })),
);

/** Puts a shared medium on the bench as a cup of its own, with a little to spare for what stays on the walls. */
async function makeFirst(recipeId: string, totalMg: number): Promise<void> {
  await attempt(async () => {
    await store.addCup({ role: 'medium', recipeId, totalMg });
  });
}

const short = computed(() => shortMaterials(props.cups, shelf.materials));
</script>

<template>
  <ul v-if="batches.length > 0 || short.length > 0">
    <li v-for="batch in batches" :key="batch.id">
      {{ batch.words }}
      <Button type="link" size="small" @click="makeFirst(batch.id, batch.totalMg)">
        Make it first, as one cup
      </Button>
    </li>
    <li v-for="each in short" :key="each.name">
      <span class="look"
        >{{ each.name }} runs out: this set needs {{ units.show('mass', each.needMg) }},
        {{ units.show('mass', each.leftMg) }} is left.</span
      >
    </li>
  </ul>
</template>

<style scoped>
ul {
  padding: 0 24px 6px;
}
</style>
