import type { CollarKindName } from '@banter/contract';
import type { Component } from 'vue';

/**
 * The drawings of every kind of collar, found by their place: `web/neck/KIND/OnNeck.vue` on the unrolled neck and
 * `web/neck/KIND/BenchPanel.vue` at the bench, with its cross-section. A new kind brings its folder and is drawn.
 */
const onNeck = import.meta.glob<Component>('./*/OnNeck.vue', { eager: true, import: 'default' });
const benchPanels = import.meta.glob<Component>('./*/BenchPanel.vue', { import: 'default' });
const checkPanels = import.meta.glob<Component>('./*/CheckDrawing.vue', { import: 'default' });

export const onNeckDrawing = (kind: CollarKindName): Component => onNeck[`./${kind}/OnNeck.vue`]!;
export const benchPanel = (kind: CollarKindName) => benchPanels[`./${kind}/BenchPanel.vue`]!;
export const checkDrawing = (kind: CollarKindName) => checkPanels[`./${kind}/CheckDrawing.vue`]!;
