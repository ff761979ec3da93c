import { useStorage } from '@vueuse/core';
import { defineStore } from 'pinia';

/** Stands for money that is written as a bare number. */
export const NO_CURRENCY = '';

/** The currency prices are in; they are kept as they were typed and never converted. */
export const useMoney = defineStore('money', () => {
  const currency = useStorage('icy-ribbon.currency', NO_CURRENCY);

  /** "12.90", "€12.90". */
  function show(cents: number): string {
    const amount = cents / 100;
    if (currency.value === NO_CURRENCY) return amount.toFixed(2);
    try {
      return new Intl.NumberFormat('en', { style: 'currency', currency: currency.value }).format(amount);
    } catch {
      return amount.toFixed(2);
    }
  }

  return { currency, show };
});

const names = new Intl.DisplayNames('en', { type: 'currency' });

/** Every currency there is, by its code with its name. */
export const currencyOptions = (): { value: string; label: string }[] => [
  { value: NO_CURRENCY, label: 'none, bare numbers' },
  ...Intl.supportedValuesOf('currency').map((code) => ({
    value: code,
    label: `${code}, ${names.of(code) ?? ''}`,
  })),
];
