import type { WeighingStep } from '@icy-ribbon/core/paint/mix';
import { thinToStage } from '@icy-ribbon/core/thickness/match';
import { computed, ref, watch, type Ref } from 'vue';
import { matchCupOf } from '#drawing/matchCup.ts';
import { usePiece, type Cup } from '#store/piece/piece.ts';
import { useStirring } from '#store/stirring.ts';
import { useRecipes } from '#store/recipes.ts';
import { batchedMedium, stepsWithBatch } from './batchSteps.ts';

export type ScaleStep = Omit<WeighingStep, 'portion'> & {
  readonly portion: WeighingStep['portion'] | 'thin';
  readonly key: string;
};

/**
 * What is to be done at the scale for one cup: the weighing steps, then thinning until the cup has the
 * thickness its recipe asks for. A step can be left for later: once the others are done it is asked for again.
 */
export function useScaleSteps(cup: Readonly<Ref<Cup | undefined>>) {
  const recipes = useRecipes();
  const store = usePiece();
  const stirring = useStirring();
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

  const undone = computed<ScaleStep[]>(() => {
    if (!cup.value) return [];
    return stepsWithBatch(cup.value.mix, batch.value, stirring.orderOf(cup.value.mix.recipe.id))
      .map((step, index) => ({ ...step, key: `${step.ingredientId} ${index}` }))
      .filter((step) => !step.done && step.mg > 0);
  });
  const open = computed(() => undone.value.filter((step) => !skipped.value.has(step.key)));
  /** What was left for later and is all there is left to do. */
  const later = computed(() => (open.value.length === 0 ? undone.value : []));

  const addition = computed(() => {
    const wanted = cup.value?.mix.recipe.thinning;
    if (!cup.value || !wanted || isRight.value || cup.value.state.phase !== 'mixed') return undefined;
    return thinToStage(store.belief, matchCupOf(cup.value), wanted);
  });
  const thinning = computed<ScaleStep | undefined>(() => {
    if (addition.value?.kind !== 'thin') return undefined;
    const [part] = addition.value.step;
    return part && { ...part, portion: 'thin', key: 'thin' };
  });
  /** It wants thinning, and nothing is stirred in blindly: the cup is to be read first. */
  const toRead = computed(() => addition.value?.kind === 'read' && addition.value.need.length > 0);

  const current = computed(() => open.value[0] ?? thinning.value);
  const following = computed(() => open.value[1]);

  /** Leaves the step for later; when thinning, says that the cup is right as it is. */
  function skip(): void {
    if (current.value?.portion === 'thin' || (!current.value && toRead.value)) isRight.value = true;
    else if (current.value) skipped.value = new Set([...skipped.value, current.value.key]);
  }

  /** Comes back to what was left for later. */
  function takeUp(): void {
    skipped.value = new Set();
  }

  return { current, following, later, toRead, skip, takeUp, batch };
}
