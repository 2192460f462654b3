import type { CollarKindName } from '@banter/contract';
import type { Component } from 'vue';

/** The cross-sections of all kinds, fetched together with the bench: once it stands, it needs the server no more. */
const crossSections = import.meta.glob<Component>('../*/CrossSection.vue', { eager: true, import: 'default' });

export const crossSection = (kind: CollarKindName): Component =>
  (crossSections[`../${kind}/CrossSection.vue`] ?? crossSections['./CrossSection.vue'] ?? crossSections['../shared/CrossSection.vue'])!;
