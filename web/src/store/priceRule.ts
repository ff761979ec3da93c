import type { PriceRule } from '@icy-ribbon/core/piece/price';
import { useStorage } from '@vueuse/core';
import { defineStore } from 'pinia';

/** A rule as it is typed; what is empty counts as nothing. */
export interface TypedRule {
  by: PriceRule['by'];
  centsPerHour: number | null;
  factor: number | null;
  centsPerCm2: number | null;
  wearPercent: number | null;
}

/** How the artist sets prices, kept on this device. */
export const usePriceRule = defineStore('priceRule', () => {
  const typed = useStorage<TypedRule>(
    'icy-ribbon.price-rule',
    { by: 'hours', centsPerHour: 1500, factor: 2, centsPerCm2: 15, wearPercent: 10 },
    undefined,
    { mergeDefaults: true },
  );
  const rule = (): PriceRule => ({
    by: typed.value.by,
    centsPerHour: typed.value.centsPerHour ?? 0,
    factor: typed.value.factor ?? 0,
    centsPerCm2: typed.value.centsPerCm2 ?? 0,
    wearShare: (typed.value.wearPercent ?? 0) / 100,
  });
  return { typed, rule };
});
