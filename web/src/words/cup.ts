import type { CupState } from '@icy-ribbon/core/paint/mix';
import { namesListed } from './general.ts';

/** How far a cup is, said alike wherever it stands. */
export const PHASE_WORDS: Readonly<Record<CupState['phase'], string>> = {
  planned: 'to be weighed in',
  weighing: 'unfinished',
  mixed: 'mixed',
};

interface CupUnderWay {
  readonly mix: { readonly ingredients: readonly { readonly material: { readonly name: string } }[] };
  readonly state: Pick<CupState, 'phase' | 'toComeMg'>;
}

/** "5.0 g Water", "12.4 g Wood glue and 5.0 g Water": what is still to be weighed in; empty when all is in. */
export function toComeWords({ mix, state }: CupUnderWay, show: (mg: number) => string): string {
  return namesListed(
    mix.ingredients.flatMap(({ material }, index) => {
      const mg = state.toComeMg[index] ?? 0;
      return mg > 0 ? [`${show(mg)} ${material.name}`] : [];
    }),
  );
}

/** "to be weighed in", "unfinished, 5.0 g to come", "mixed". */
export function fillWords({ state }: Pick<CupUnderWay, 'state'>, show: (mg: number) => string): string {
  const words = PHASE_WORDS[state.phase];
  const toCome = state.toComeMg.reduce((sum, mg) => sum + mg, 0);
  return state.phase === 'weighing' ? `${words}, ${show(toCome)} to come` : words;
}

/** "fading"; "will be fading" of a cup that holds only a part of it yet. */
export const stageWords = (phase: CupState['phase'], stage: string): string =>
  phase === 'weighing' ? `will be ${stage}` : stage;
