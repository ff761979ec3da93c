<script setup lang="ts">
import { fittingPaints, recipesFor, refusal } from '@icy-ribbon/core/paint/recipe';
import type { CupRole } from '@icy-ribbon/core/paint/stage';
import { Button, Modal, RadioButton, RadioGroup } from 'ant-design-vue';
import { computed, ref, watch } from 'vue';
import BareSelect from '#field/BareSelect.vue';
import LeftOvers from '#field/LeftOvers.vue';
import { newId, usePlan } from '#store/plan/plan.ts';
import { usePiece } from '#store/piece/piece.ts';
import { useRecipes } from '#store/recipes.ts';
import { useShelf } from '#store/shelf.ts';
import { recipeLabel } from '#words/recipe.ts';
import { ROLE_LABELS, ROLES_OF } from '#words/general.ts';

/** A paint for the plan that is not mixed yet: what it is for, its recipe and its paint. */
const emit = defineEmits<{ close: []; made: [id: string] }>();

const plan = usePlan();
const store = usePiece();
const shelf = useShelf();
const recipes = useRecipes();

const technique = computed(() => store.piece?.technique ?? 'dutch');
const roles = computed(() => ROLES_OF[technique.value]);
const role = ref<CupRole>(plan.paints.length === 0 ? roles.value[0]! : 'color');
const choices = computed(() => recipesFor(recipes.all, technique.value, role.value));
const recipeId = ref('');
const materialId = ref<string>();

watch(choices, (next) => (recipeId.value = next[0]?.id ?? ''), { immediate: true });
const recipe = computed(() => choices.value.find((each) => each.id === recipeId.value));
const recipeOptions = computed(() =>
  choices.value.map((each) => ({
    value: each.id,
    label: recipeLabel(each),
  })),
);
const paintOptions = computed(() =>
  fittingPaints(recipe.value, role.value, shelf.materials).map(({ id, name }) => ({
    value: id,
    label: name,
  })),
);
watch(paintOptions, (next) => {
  if (!next.some(({ value }) => value === materialId.value)) materialId.value = undefined;
});
const because = computed(() => {
  const paint = shelf.materials.find(({ id }) => id === materialId.value);
  return paint && recipe.value ? refusal(recipe.value, paint.kind) : undefined;
});

function make(): void {
  const paint = shelf.materials.find(({ id }) => id === materialId.value);
  if (!paint || !recipe.value) return;
  const id = newId();
  const cup = {
    id,
    name: paint.name,
    role: role.value,
    recipeId: recipeId.value,
    variant: null,
    materialId: paint.id,
    blend: null,
  };
  plan.change({ ...plan.body, planned: [...plan.body.planned, cup] });
  emit('made', id);
}
</script>

<template>
  <Modal open title="Another paint" @cancel="emit('close')">
    <div class="rows stacked gap-12">
      <RadioGroup v-model:value="role" name="planned-role" aria-label="What the cup is for">
        <RadioButton v-for="each in roles" :key="each" :value="each">{{ ROLE_LABELS[each] }}</RadioButton>
      </RadioGroup>
      <LeftOvers :technique="technique" :role="role" @taken="emit('made', $event)" />
      <BareSelect v-model:value="recipeId" label="Recipe" :options="recipeOptions" />
      <BareSelect
        v-model:value="materialId"
        label="Paint"
        placeholder="Choose a paint"
        show-search
        option-filter-prop="label"
        :options="paintOptions"
      />
      <p v-if="because" class="alarm" role="alert">{{ because }}</p>
    </div>
    <template #footer>
      <Button @click="emit('close')">Leave it</Button>
      <Button type="primary" :disabled="!materialId || Boolean(because)" @click="make">Plan with it</Button>
    </template>
  </Modal>
</template>

<style scoped>
.rows {
  padding: 8px 0;
}
</style>
