import { usePreferredDark, useStorage } from '@vueuse/core';
import { defineStore } from 'pinia';
import { computed, watchEffect } from 'vue';
import { applyPalette, DARK, LIGHT } from '../theme/tokens.ts';

/** Light or dark: as the device prefers until the artist chooses. */
export const useAppearance = defineStore('appearance', () => {
  const preferred = usePreferredDark();
  const chosen = useStorage<'auto' | 'light' | 'dark'>('icy-ribbon.appearance', 'auto');
  const dark = computed(() => (chosen.value === 'auto' ? preferred.value : chosen.value === 'dark'));
  const palette = computed(() => (dark.value ? DARK : LIGHT));
  watchEffect(() => {
    applyPalette(palette.value, document.documentElement);
    document.documentElement.style.colorScheme = dark.value ? 'dark' : 'light';
  });
  const toggle = () => {
    chosen.value = dark.value ? 'light' : 'dark';
  };
  return { dark, palette, toggle };
});
