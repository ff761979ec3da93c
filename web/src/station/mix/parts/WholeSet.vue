<script setup lang="ts">
import { isPaint } from '@icy-ribbon/core/paint/material';
import { recipesFor } from '@icy-ribbon/core/paint/recipe';
import type { CupRole, Technique } from '@icy-ribbon/core/paint/stage';
import { Button, Modal } from 'ant-design-vue';
import { computed, reactive } from 'vue';
import BareSelect from '../../../field/BareSelect.vue';
import QuantityField from '../../../field/QuantityField.vue';
import { useTask } from '../../../notice/useTask.ts';
import { usePiece } from '../../../store/piece/piece.ts';
import { useRecipes } from '../../../store/recipes.ts';
import { useShelf } from '../../../store/shelf.ts';
import { ROLE_LABELS, ROLES_OF } from '../../../words/general.ts';
import { ratioWords } from '../../../words/recipe.ts';

/** All cups of a piece at once: the ground, the colors and, for a bloom, the activator. */
const props = defineProps<{ technique: Technique; usualMg: Readonly<Record<CupRole, number>> }>();
const emit = defineEmits<{ close: [] }>();

const store = usePiece();
const shelf = useShelf();
const recipes = useRecipes();
const { busy, run } = useTask();

const rows = reactive(
  ROLES_OF[props.technique].map((role) => ({
    role,
    recipeId: recipesFor(recipes.all, props.technique, role)[0]?.id ?? '',
    paintIds: [] as string[],
    totalMg: props.usualMg[role] as number | null,
  })),
);

const recipeOptions = (role: CupRole) =>
  recipesFor(recipes.all, props.technique, role).map((recipe) => ({
    value: recipe.id,
    label: recipe.name.includes(':') ? recipe.name : `${recipe.name}, ${ratioWords(recipe.parts)}`,
  }));

const paintOptions = (role: CupRole, recipeId: string) =>
  shelf.materials
    .filter((each) =>
      role === 'pillow' && recipeId.startsWith('P')
        ? each.kind === 'wall-paint'
        : isPaint(each.kind) && each.kind !== 'wall-paint',
    )
    .map(({ id, name }) => ({ value: id, label: name }));

const count = computed(() => rows.reduce((sum, row) => sum + row.paintIds.length, 0));

async function putOn(): Promise<void> {
  await run(async () => {
    for (const row of rows) {
      for (const paintId of [...row.paintIds]) {
        await store.addCup({
          role: row.role,
          recipeId: row.recipeId,
          paintId,
          totalMg: row.totalMg ?? 0,
        });
        row.paintIds = row.paintIds.filter((id) => id !== paintId);
      }
    }
    emit('close');
  });
}
</script>

<template>
  <Modal open :width="860" title="A whole set" @cancel="emit('close')">
    <div v-for="row in rows" :key="row.role" class="row">
      <strong>{{ ROLE_LABELS[row.role] }}</strong>
      <BareSelect
        v-model:value="row.recipeId"
        :label="`Recipe for ${ROLE_LABELS[row.role]}`"
        :options="recipeOptions(row.role)"
      />
      <BareSelect
        v-model:value="row.paintIds"
        mode="multiple"
        show-search
        :label="`Paints for ${ROLE_LABELS[row.role]}`"
        placeholder="Choose paints"
        option-filter-prop="label"
        :options="paintOptions(row.role, row.recipeId)"
      />
      <QuantityField
        v-model="row.totalMg"
        :label="`Amount of each ${ROLE_LABELS[row.role]} cup`"
        quantity="mass"
        bare
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
  display: grid;
  grid-template-columns: 80px minmax(0, 1fr) minmax(0, 1.4fr) 120px;
  align-items: center;
  gap: 12px;
  padding: 8px 0;
}
</style>
