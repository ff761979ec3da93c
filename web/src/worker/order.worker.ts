import {
  suggestOrder,
  type OrderAdvice,
  type OrderLayer,
  type OrderWishes,
} from '@icy-ribbon/core/piece/order';
import type { Technique } from '@icy-ribbon/core/paint/stage';
import { expose } from 'comlink';

/** What the order worker does, away from the page; the time it took comes with the answer. */
const orderWorker = {
  suggest(
    technique: Technique,
    layers: readonly OrderLayer[],
    wishes: OrderWishes,
  ): OrderAdvice & { readonly milliseconds: number } {
    const start = performance.now();
    const advice = suggestOrder(technique, layers, wishes);
    return { ...advice, milliseconds: performance.now() - start };
  },
};

export type OrderWorker = typeof orderWorker;
expose(orderWorker);
