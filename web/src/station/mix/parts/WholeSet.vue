<script setup lang="ts">
import { fittingPaints, recipesFor } from '@icy-ribbon/core/paint/recipe';
import type { CupRole, Technique } from '@icy-ribbon/core/paint/stage';
import { Button, Modal } from 'ant-design-vue';
import { computed } from 'vue';
import BareSelect from '#field/BareSelect.vue';
import QuantityField from '#field/QuantityField.vue';
import { useTask } from '#notice/useTask.ts';
import { useNeeds } from '#store/needs.ts';
import { usePiece } from '#store/piece/piece.ts';
import { useRecipes } from '#store/recipes.ts';
import { useShelf } from '#store/shelf.ts';
import { ROLE_LABELS, ROLES_OF } from '#words/general.ts';
import { recipeLabel } from '#words/recipe.ts';
import type { RoleDraft, SetDraft } from '#store/setDraft.ts';

/** All cups of a piece at once: the ground, the colors and, for a bloom, the activator. */
const props = defineProps<{ technique: Technique }>();
const set = defineModel<SetDraft>({ required: true });
const emit = defineEmits<{ close: [] }>();

const store = usePiece();
const shelf = useShelf();
const recipes = useRecipes();
const needs = useNeeds();
const { busy, run } = useTask();

/** A recipe and its variant as one word for a list. */
const choiceKey = (recipeId: string, variant: string) => `${recipeId}\n${variant}`;

const rows = computed(() =>
  ROLES_OF[props.technique].map((role) => {
    const choices = recipesFor(recipes.all, props.technique, role);
    const draft = set.value[role];
    const recipe = choices.find(({ id }) => id === draft.recipeId) ?? choices[0];
    return {
      role,
      draft,
      totalMg: draft.totalMg ?? needs.roleMg(role) ?? null,
      recipe,
      chosen: choiceKey(recipe?.id ?? '', draft.variant),
      recipes: choices.flatMap((each) => [
        { value: choiceKey(each.id, ''), label: recipeLabel(each) },
        ...(each.variants ?? []).map(({ name }) => ({
          value: choiceKey(each.id, name),
          label: `${each.name}, ${name}`,
        })),
      ]),
      paints: fittingPaints(recipe, role, shelf.materials).map(({ id, name }) => ({
        value: id,
        label: name,
      })),
    };
  }),
);

/** Paints that another recipe does not take are not chosen any more. */
function choose({ role, draft }: { role: CupRole; draft: RoleDraft }, key: string): void {
  const [recipeId = '', variant = ''] = key.split('\n');
  Object.assign(draft, { recipeId, variant });
  const allowed = rows.value.find((row) => row.role === role)?.paints.map(({ value }) => value) ?? [];
  draft.materialIds = draft.materialIds.filter((id) => allowed.includes(id));
}

/** Chosen ones that are still on the shelf and fit. */
const chosenOf = ({ draft, paints }: (typeof rows.value)[number]) =>
  draft.materialIds.filter((id) => paints.some(({ value }) => value === id));
const count = computed(() => rows.value.reduce((sum, row) => sum + chosenOf(row).length, 0));

async function putOn(): Promise<void> {
  await run(async () => {
    await needs.refitting(putEach);
    emit('close');
  });
}

async function putEach(): Promise<void> {
  for (const row of rows.value) {
    const { role, recipe, draft } = row;
    for (const materialId of chosenOf(row)) {
      await store.addCup({
        role,
        recipeId: recipe?.id ?? '',
        variant: draft.variant || null,
        materialId,
        totalMg: row.totalMg ?? 0,
      });
      draft.materialIds = draft.materialIds.filter((id) => id !== materialId);
    }
  }
}
</script>

<template>
  <Modal open :width="860" title="A whole set" @cancel="emit('close')">
    <div v-for="row in rows" :key="row.role" class="row stacked gap-12">
      <strong>{{ ROLE_LABELS[row.role] }}</strong>
      <BareSelect
        :value="row.chosen"
        :label="`Recipe for ${ROLE_LABELS[row.role]}`"
        :options="row.recipes"
        @update:value="choose(row, String($event))"
      />
      <BareSelect
        :value="chosenOf(row)"
        mode="multiple"
        show-search
        :label="`Paints for ${ROLE_LABELS[row.role]}`"
        placeholder="Choose paints"
        option-filter-prop="label"
        :options="row.paints"
        @update:value="row.draft.materialIds = $event as string[]"
      />
      <QuantityField
        :model-value="row.totalMg"
        :label="`Amount of each ${ROLE_LABELS[row.role]} cup`"
        quantity="mass"
        bare
        @update:model-value="row.draft.totalMg = $event"
      />
    </div>
    <template #footer>
      <Button @click="emit('close')">Leave it</Button>
      <Button type="primary" :disabled="count === 0" :loading="busy" @click="putOn">
        Put {{ count }} cups on the bench
      </Button>
    </template>
  </Modal>
</template>

<style scoped>
.row {
  grid-template-columns: 80px minmax(0, 1.2fr) minmax(0, 1.2fr) 110px;
  align-items: center;
  padding: 8px 0;
}
</style>
