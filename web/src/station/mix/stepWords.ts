import type { Mix } from '@icy-ribbon/contract';
import type { WeighingStep } from '@icy-ribbon/core/mix';

/** One step at the scale as a sentence in the trade's words. */
export function stepWords(step: WeighingStep, mix: Mix, show: (mg: number) => string): string {
  const ingredient = mix.ingredients.find((each) => each.id === step.ingredientId);
  const shelfName = ingredient?.material.name ?? 'it';
  const isPaint = ingredient?.role === 'paint';
  const name = isPaint ? shelfName : shelfName.charAt(0).toLowerCase() + shelfName.slice(1);
  const amount = show(step.mg);
  switch (step.portion) {
    case 'half':
      return `Pour ${amount} ${name}: half of it first, so that paint does not stick to the cup.`;
    case 'rest':
      return `Pour the other ${amount} ${name} and stir.`;
    case 'step':
      return `Stir in ${amount} ${name}, a little at a time, until smooth.`;
    case 'all':
      return isPaint
        ? `Add ${amount} ${name} and stir it smooth against the side.`
        : `Stir in ${amount} ${name} until smooth.`;
  }
}
