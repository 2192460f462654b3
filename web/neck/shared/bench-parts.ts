import type { CollarKindName } from '@banter/contract';
import type { Component } from 'vue';

/** The parts of the bench that kinds bring themselves, fetched together with it: once it stands, it needs the server no more. Each takes the `bench`. */
const found = import.meta.glob<Component>(['../*/Bench*.vue', '!../shared/*'], { eager: true, import: 'default' });

/** A part of the bench that a kind brings itself; undefined where the shared one serves. */
export const benchPart = (kind: CollarKindName, part: 'Section' | 'Rule' | 'Options' | 'Schools' | 'Extra'): Component | undefined =>
  found[`../${kind}/Bench${part}.vue`];
