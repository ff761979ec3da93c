<script setup lang="ts">
import { scalePlan } from '@icy-ribbon/core/piece/plan';
import { planOfPour } from '@icy-ribbon/core/piece/event';
import { Button, Input, Modal } from 'ant-design-vue';
import { computed, onMounted, ref } from 'vue';
import BareSelect from '#field/BareSelect.vue';
import SupportForm from '#field/SupportForm.vue';
import { emptySupport } from '#field/supportDraft.ts';
import { useSupportChoice } from '#field/useSupportChoice.ts';
import FieldRow from '#field/FieldRow.vue';
import { sayProblem } from '#notice/notices.ts';
import { usePiece } from '#store/piece/piece.ts';
import { useRecipes } from '#store/recipes.ts';
import { useShelf } from '#store/shelf.ts';
import { useUnits } from '#store/units.ts';
import { recipeAsPoured } from './asPoured.ts';
import { useNewPiece } from '#store/useNewPiece.ts';

/** What was really poured becomes the plan of a new piece, on the same support or another. */
const emit = defineEmits<{ close: [] }>();

const store = usePiece();
const shelf = useShelf();
const recipes = useRecipes();
const units = useUnits();
const { busy, problem, start } = useNewPiece(() => emit('close'));
const name = ref(`${store.piece?.name ?? ''}, again`.slice(0, 80));
const supportId = ref(store.piece?.support.supportId ?? '');

onMounted(async () => {
  try {
    await Promise.all([shelf.ensure(), recipes.ensure()]);
  } catch (error) {
    sayProblem(error);
  }
});

const typedSupport = ref(emptySupport());
const { options: supports, isNew, support: target, keep } = useSupportChoice(supportId, typedSupport);
const poured = computed(() => {
  const piece = store.piece!;
  const paints = store.paints.map(({ mix, state }) => ({
    id: mix.id,
    role: mix.role,
    densityGPerMl: state.properties.densityGPerMl,
  }));
  return planOfPour(store.log, paints, piece.support, () => crypto.randomUUID());
});
const scaled = computed(() =>
  target.value ? scalePlan(poured.value, store.piece!.support, target.value) : null,
);
const grams = computed(
  () =>
    [...(scaled.value?.plan.stacks ?? []), ...(scaled.value?.plan.paths ?? [])]
      .flatMap((stack) => stack.layers)
      .reduce((sum, layer) => sum + (layer.massG ?? 0), 0) * 1000,
);

function make(): void {
  const piece = store.piece;
  const plan = scaled.value?.plan;
  if (!piece || !plan) return;
  void start(async () => {
    const laid = new Set(store.layers.map((layer) => layer.data.cupId));
    const cups = store.paints.filter(({ mix }) => laid.has(mix.id));
    const recipeIds = new Map<string, string>();
    for (const cup of cups) {
      const own = recipeAsPoured(cup, piece);
      if (own) recipeIds.set(cup.mix.id, (await recipes.add(own)).id);
    }
    const { technique, aims, colors } = piece;
    return {
      name: name.value,
      technique,
      aims,
      colors,
      supportId: await keep(),
      plan,
      cups,
      planned: [],
      recipeIds,
    };
  });
}
</script>

<template>
  <Modal open title="Pour it again" :footer="null" @cancel="emit('close')">
    <form class="again stacked gap-12" @submit.prevent="make">
      <p class="soft">
        The parts that were really weighed in, the order, the grams and every pass become the plan of a new
        piece. Cups that strayed from their recipe get a recipe of their own.
      </p>
      <FieldRow label="Name" for="again-name">
        <Input id="again-name" v-model:value="name" />
      </FieldRow>
      <BareSelect v-model:value="supportId" :options="supports" label="Support" />
      <SupportForm v-if="isNew" v-model="typedSupport" :problem="problem" />
      <p v-if="scaled">
        {{ scaled.plan.passes.length }} passes, {{ units.show('mass', grams) }} of paint on the base<template
          v-if="Math.abs(scaled.areaRatio - 1) > 0.01"
          >, {{ scaled.areaRatio.toFixed(2) }} times the face</template
        >.
      </p>
      <p v-for="note in scaled?.notes ?? []" :key="note" class="soft">{{ note }}</p>
      <Button type="primary" html-type="submit" :loading="busy" :disabled="!scaled">Make the plan</Button>
    </form>
  </Modal>
</template>
