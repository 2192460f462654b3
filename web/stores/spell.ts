import { spelled } from '@banter/core';
import type { App } from 'vue';
import { spellProblemsBy } from '../api/request.ts';
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
    const spell = (text: string) => spelled(text, useUnits().length);
    app.config.globalProperties.$spell = spell;
    spellProblemsBy(spell);
  },
};
