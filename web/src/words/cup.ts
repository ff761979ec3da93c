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

/** "to be weighed in", "unfinished: 5.0 g Water to come", "mixed". */
export function fillWords(cup: CupUnderWay, show: (mg: number) => string): string {
  const words = PHASE_WORDS[cup.state.phase];
  return cup.state.phase === 'weighing' ? `${words}: ${toComeWords(cup, show)} to come` : words;
}
