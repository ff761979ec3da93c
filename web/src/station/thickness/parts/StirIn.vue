<script setup lang="ts">
import { isPaint, materialKind } from '@icy-ribbon/core/paint/material';
import { nextAddition, type NextAddition } from '@icy-ribbon/core/thickness/match';
import { Button } from 'ant-design-vue';
import { computed, onMounted, ref, watch } from 'vue';
import BareSelect from '#field/BareSelect.vue';
import ComputedFrom from '#field/ComputedFrom.vue';
import NumberField from '#field/NumberField.vue';
import QuantityField from '#field/QuantityField.vue';
import { say, sayProblem } from '#notice/notices.ts';
import { attempt, useTask } from '#notice/useTask.ts';
import { useShortcuts } from '#shortcut/shortcuts.ts';
import { usePiece, type Cup } from '#store/piece/piece.ts';
import { useShelf } from '#store/shelf.ts';
import { useUnits } from '#store/units.ts';
import { matchCupOf } from '#drawing/matchCup.ts';
import { useMeasures } from '#words/useMeasures.ts';
import { additionWords, limitWords, sureWords } from '#words/thickness.ts';

/** The next addition of one cup: a sentence with a number, and a way to say that it is done. */
const props = defineProps<{ cup: Cup; suggestedPaS: number }>();

const store = usePiece();
const shelf = useShelf();
const units = useUnits();
const targetPaS = ref<number | null>(props.suggestedPaS);
const thinner = ref<string | undefined>(undefined);
const stepMg = ref<number | null>(null);
const { busy, run } = useTask();

onMounted(() => shelf.ensure().catch(sayProblem));
watch(
  () => [props.cup.mix.id, props.suggestedPaS] as const,
  ([, suggested]) => (targetPaS.value = Number(suggested.toPrecision(3))),
  { immediate: true },
);

const measures = useMeasures();
const show = (mg: number) => units.show('mass', mg, true);

const thinners = computed(() =>
  shelf.materials
    .filter((each) => !isPaint(each.kind) && ['thinner', 'medium'].includes(materialKind(each.kind).group))
    .map(({ id, name }) => ({ value: id, label: name })),
);
const thinnerId = computed(
  () => props.cup.mix.ingredients.find((each) => each.material.materialId === thinner.value)?.id,
);

const next = computed<NextAddition | undefined>(() =>
  targetPaS.value !== null && targetPaS.value > 0
    ? nextAddition(store.belief, matchCupOf(props.cup), targetPaS.value, { thinnerId: thinnerId.value })
    : undefined,
);
/** Its paint is fluid, and water would be stirred in. */
const isFluidWithWater = computed(
  () =>
    next.value?.kind === 'thin' &&
    props.cup.mix.ingredients.some(({ material }) => material.kind === 'fluid') &&
    next.value.step.some(
      ({ ingredientId }) => props.cup.mix.ingredients.find(({ id }) => id === ingredientId)?.role === 'water',
    ),
);
const step = computed(() =>
  next.value?.kind === 'thin' || next.value?.kind === 'thicken' ? next.value.step : [],
);
watch(step, (parts) => (stepMg.value = parts.length === 1 ? (parts[0]?.mg ?? null) : null), {
  immediate: true,
});

async function chooseThinner(materialId: string): Promise<void> {
  await attempt(async () => {
    await store.addIngredient(props.cup.mix.id, materialId);
    thinner.value = materialId;
  });
}

/** Logs what was stirred in: the step as advised, or the grams that were typed. */
async function stirredIn(): Promise<void> {
  if (step.value.length === 0 || busy.value) return;
  await run(async () => {
    const only = step.value.length === 1;
    for (const part of step.value) {
      await store.weighIn(
        props.cup.mix.id,
        part.ingredientId,
        only ? (stepMg.value ?? part.mg) : part.mg,
        'typed',
      );
    }
    say(`${props.cup.mix.name}: stirred in. Look again, or race it again.`);
  });
}

useShortcuts('Next addition', [
  { keys: ['a'], shown: 'A', does: 'The addition is stirred in', run: () => void stirredIn() },
]);
</script>

<template>
  <section class="stir" aria-label="Next addition">
    <div class="saying">
      <p class="now">
        {{ next ? additionWords(next, show) : 'Give a target thickness.' }}
        <ComputedFrom calculation="next-addition" />
      </p>
      <p v-if="next" class="soft">{{ sureWords(next, show) }}</p>
      <p v-if="isFluidWithWater" class="soft">Fluid paint: varnish thins it more gently than water.</p>
      <p v-if="next && 'limit' in next && next.limit" class="look">{{ limitWords(next.limit, measures) }}</p>
    </div>
    <div class="doing stacked">
      <NumberField v-model="targetPaS" label="Target" unit="Pa·s" :digits="3" />
      <div>
        <span class="label">Thin it with</span>
        <BareSelect
          :value="thinner"
          label="Thin it with"
          show-search
          option-filter-prop="label"
          placeholder="water, or its own thinner"
          :options="thinners"
          @update:value="chooseThinner(String($event))"
        />
      </div>
      <template v-if="step.length > 0">
        <QuantityField v-if="step.length === 1" v-model="stepMg" label="Weighed in" quantity="mass" />
        <Button type="primary" :loading="busy" @click="stirredIn">Stirred in</Button>
      </template>
    </div>
  </section>
</template>

<style scoped>
.stir {
  display: grid;
  grid-template-columns: minmax(0, 1fr) auto;
  align-items: center;
  gap: 8px 24px;
}

.now {
  font-size: var(--type-title);
  font-weight: var(--weight-strong);
  line-height: 1.25;
}

.doing {
  grid-template-columns: 110px 190px 120px auto;
  align-items: end;
}

@media (width < 1280px) {
  .stir {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
