import type { CollarKindName, DrawnCollar } from '@banter/contract';
import type { Component } from 'vue';

/**
 * The drawings of every kind of collar, found by their place: `web/neck/KIND/OnNeck.vue` on the unrolled neck and
 * `web/neck/KIND/CrossSection.vue` in cross-section. A kind whose make-up is a matter of its own, as the prong's links are,
 * brings its own `BenchPanel.vue` and `CheckDrawing.vue`; all others share those of `web/neck/shared`. A new kind brings its
 * folder and is drawn.
 */
const onNeck = import.meta.glob<Component>('./*/OnNeck.vue', { eager: true, import: 'default' });
const benchPanels = import.meta.glob<Component>('./*/BenchPanel.vue', { import: 'default' });
const benchExtras = import.meta.glob<Component>('./*/BenchExtra.vue', { eager: true, import: 'default' });
const headrooms = import.meta.glob<(drawn: DrawnCollar) => number>('./*/headroom.ts', { eager: true, import: 'headroomMm' });
const checkPanels = import.meta.glob<Component>('./*/CheckDrawing.vue', { import: 'default' });

export const onNeckDrawing = (kind: CollarKindName): Component => onNeck[`./${kind}/OnNeck.vue`]!;
export const benchPanel = (kind: CollarKindName) => (benchPanels[`./${kind}/BenchPanel.vue`] ?? benchPanels['./shared/BenchPanel.vue'])!;
export const checkDrawing = (kind: CollarKindName) => (checkPanels[`./${kind}/CheckDrawing.vue`] ?? checkPanels['./shared/CheckDrawing.vue'])!;
/** What else stands beside a kind at the bench, if anything. */
export const benchExtra = (kind: CollarKindName): Component | null => benchExtras[`./${kind}/BenchExtra.vue`] ?? null;
/** How far a collar's drawing reaches above the ears' edge of the unrolled neck, in mm; nothing for most. */
export const headroom = (drawn: DrawnCollar): number => headrooms[`./${drawn.kind}/headroom.ts`]?.(drawn) ?? 0;
