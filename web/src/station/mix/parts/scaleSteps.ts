import { thinningStep, type WeighingStep } from '@icy-ribbon/core/paint/mix';
import { computed, ref, watch, type Ref } from 'vue';
import { usePiece, type Cup } from '../../../store/piece/piece.ts';
import { useRecipes } from '../../../store/recipes.ts';
import { batchedMedium, stepsWithBatch } from './batchSteps.ts';

export type ScaleStep = Omit<WeighingStep, 'portion'> & {
  readonly portion: WeighingStep['portion'] | 'thin';
  readonly key: string;
};

/**
 * What is to be done at the scale for one cup: the weighing steps, then thinning until the cup has the
 * thickness its recipe asks for. Steps can be skipped for now; leaving the cup brings them back.
 */
export function useScaleSteps(cup: Readonly<Ref<Cup | undefined>>) {
  const recipes = useRecipes();
  const store = usePiece();
  const skipped = ref<ReadonlySet<string>>(new Set());
  const isRight = ref(false);

  watch(
    () => cup.value?.mix.id,
    () => {
      skipped.value = new Set();
      isRight.value = false;
    },
  );

  const batch = computed(() => cup.value && batchedMedium(cup.value.mix, recipes.find, store.cups));

  const open = computed<ScaleStep[]>(() => {
    if (!cup.value) return [];
    return stepsWithBatch(cup.value.mix, batch.value)
      .map((step, index) => ({ ...step, key: `${step.ingredientId} ${index}` }))
      .filter((step) => !step.done && step.mg > 0 && !skipped.value.has(step.key));
  });

  const thinning = computed<ScaleStep | undefined>(() => {
    const wanted = cup.value?.mix.recipe.thinning;
    if (!cup.value || !wanted || isRight.value || cup.value.state.phase !== 'mixed') return undefined;
    const step = thinningStep(cup.value.mix, cup.value.state, wanted);
    if (!step || step.mg < 50) return undefined;
    return { ...step, portion: 'thin', key: 'thin' };
  });

  const current = computed(() => open.value[0] ?? thinning.value);
  const following = computed(() => open.value[1]);

  /** Leaves the step for later; when thinning, says that the cup is right as it is. */
  function skip(): void {
    if (current.value?.portion === 'thin') isRight.value = true;
    else if (current.value) skipped.value = new Set([...skipped.value, current.value.key]);
  }

  return { current, following, skip, batch };
}
