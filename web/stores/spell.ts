import { spelled } from '@banter/core';
import type { App } from 'vue';
import { useUnits } from './units.ts';

declare module 'vue' {
  interface ComponentCustomProperties {
    /** Banter's own words as the kennel spells them, by its units. */
    $spell: (text: string) => string;
  }
}

/** Lets every template spell Banter's own words as the kennel does. */
export const spelling = {
  install: (app: App) => {
    app.config.globalProperties.$spell = (text) => spelled(text, useUnits().length);
  },
};
