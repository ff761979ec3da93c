import type { Mix } from '@icy-ribbon/contract';
import { STAGES } from '@icy-ribbon/core/paint/stage';
import type { BatchedMedium } from './batchSteps.ts';
import type { ScaleStep } from './scaleSteps.ts';

/** One step at the scale as a sentence in the trade's words. */
export function stepWords(
  step: Pick<ScaleStep, 'ingredientId' | 'mg' | 'portion'>,
  mix: Mix,
  show: (mg: number) => string,
  batch?: BatchedMedium,
): string {
  const ingredient = mix.ingredients.find((each) => each.id === step.ingredientId);
  const shelfName = step.ingredientId === batch?.id ? batch.name : (ingredient?.material.name ?? 'it');
  const isPaint = ingredient?.role === 'paint';
  const name = isPaint ? shelfName : shelfName.charAt(0).toLowerCase() + shelfName.slice(1);
  const amount = show(step.mg);
  switch (step.portion) {
    case 'thin': {
      const stage = STAGES.find((each) => each.name === mix.recipe.thinning?.to);
      return `Look at the mound. Wanted: ${stage?.name} (${stage?.mound}). If it is thicker, stir in ${amount} ${name} and look again.`;
    }
    case 'half':
      return `Pour ${amount} ${name} first, half of its ${show(ingredient?.targetMg ?? 2 * step.mg)}, so that paint does not stick to the cup.`;
    case 'rest':
      return `Pour the other half of the ${name}, ${amount}, and stir.`;
    case 'thirds':
      return `Weigh in ${amount} ${name} and stir it in by thirds, each until smooth.`;
    case 'all':
      return isPaint
        ? `Add ${amount} ${name} and stir it smooth against the side.`
        : `Stir in ${amount} ${name} until smooth.`;
  }
}
