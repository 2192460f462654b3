import { z } from '@banter/contract';
import { usePreferredDark } from '@vueuse/core';
import { defineStore } from 'pinia';
import { computed, watchEffect } from 'vue';
import { stored } from './stored.ts';

/** Light or dark, from the system unless chosen here. */
export const useTheme = defineStore('theme', () => {
  const chosen = stored('banter.theme', z.enum(['system', 'light', 'dark']), 'system');
  const prefersDark = usePreferredDark();
  const shown = computed(() => (chosen.value === 'system' ? (prefersDark.value ? 'dark' : 'light') : chosen.value));
  watchEffect(() => {
    if (!import.meta.env.SSR) document.documentElement.dataset.theme = shown.value;
  });
  return { chosen, shown };
});
