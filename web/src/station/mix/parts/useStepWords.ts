import { CAUTIONS } from '@icy-ribbon/core/paint/caution';
import { materialKind } from '@icy-ribbon/core/paint/material';
import { computed } from 'vue';
import { usePiece } from '#store/piece/piece.ts';
import { useUnits } from '#store/units.ts';
import { PHASE_WORDS, toComeWords } from '#words/cup.ts';
import { stepWords } from './stepWords.ts';
import type { useWeighing } from './useWeighing.ts';

const READ_FIRST =
  'Stir it smooth, then read it at Thickness, best by a race: too little is known of it to stir more in.';

type Weighing = Pick<
  ReturnType<typeof useWeighing>,
  'cup' | 'current' | 'following' | 'later' | 'toRead' | 'batch' | 'currentIngredient'
>;

/** What is told at the scale: what to do now, what comes then, and what to mind. */
export function useStepWords(weighing: Weighing, cupId: () => string) {
  const { cup, current, following, later, toRead, batch, currentIngredient } = weighing;
  const store = usePiece();
  const units = useUnits();
  const grams = (mg: number) => units.show('mass', mg, true);

  const nextCup = computed(() => store.toWeigh.find((each) => each.mix.id !== cupId()));

  /** The usual caution for what is in hand at this step. */
  const cautions = computed(() => {
    const kind = currentIngredient.value?.material.kind;
    const hazards = kind ? (materialKind(kind).hazards ?? []) : [];
    return hazards.filter((hazard) => hazard !== 'dust').map((hazard) => CAUTIONS[hazard]);
  });

  const wordsOf = (step: typeof current.value) =>
    cup.value && step ? stepWords(step, cup.value.mix, grams, batch.value) : '';
  const sentence = computed(() => wordsOf(current.value));

  /** What is to be done now; of a cup with nothing left to do, what it lacks. */
  const told = computed(() => {
    if (current.value) return sentence.value;
    const phase = cup.value?.state.phase;
    if (cup.value && phase && phase !== 'mixed') {
      return `This cup is ${PHASE_WORDS[phase]}: ${toComeWords(cup.value, grams)} to come.`;
    }
    return toRead.value ? READ_FIRST : 'This cup is done.';
  });

  const doneLabel = computed(() => {
    if (current.value) return 'Done, next';
    if (later.value.length > 0) return 'Weigh it in now';
    return nextCup.value ? `Next cup: ${nextCup.value.mix.name}` : 'Back to the cups';
  });

  /** What comes after this step. */
  const then = computed(() => {
    if (current.value) return wordsOf(following.value) || 'Then the cup is mixed.';
    return nextCup.value ? `Next cup: ${nextCup.value.mix.name}.` : 'All cups are mixed.';
  });

  return { nextCup, cautions, sentence, told, doneLabel, then };
}
