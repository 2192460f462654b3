import type { CollarKindName, DrawnCollar } from '@banter/contract';
import type { Component } from 'vue';

/**
 * The drawings of every kind of collar, found by their place: `web/neck/KIND/OnNeck.vue` on the unrolled neck and
 * `web/neck/KIND/CrossSection.vue` in cross-section. A kind whose make-up is a matter of its own, as the prong's links are,
 * brings its own `CheckDrawing.vue` and parts of the bench (`BenchSection.vue`, `BenchRule.vue`, `BenchOptions.vue`,
 * `BenchSchools.vue`, `BenchExtra.vue`); all others share those of `web/neck/shared`. A new kind brings its folder and is drawn.
 */
const onNeck = import.meta.glob<Component>('./*/OnNeck.vue', { eager: true, import: 'default' });
const headrooms = import.meta.glob<(drawn: DrawnCollar) => number>('./*/headroom.ts', { eager: true, import: 'headroomMm' });
const rulers = import.meta.glob<Component>('./*/RulerDrawing.vue', { eager: true, import: 'default' });
const checkPanels = import.meta.glob<Component>('./*/CheckDrawing.vue', { import: 'default' });

export const onNeckDrawing = (kind: CollarKindName): Component => (onNeck[`./${kind}/OnNeck.vue`] ?? onNeck['./shared/OnNeck.vue'])!;
export const checkDrawing = (kind: CollarKindName) => (checkPanels[`./${kind}/CheckDrawing.vue`] ?? checkPanels['./shared/CheckDrawing.vue'])!;
/** How far a collar's drawing reaches above the ears' edge of the unrolled neck, in mm; nothing for most. */
export const headroom = (drawn: DrawnCollar): number => headrooms[`./${drawn.kind}/headroom.ts`]?.(drawn) ?? 0;
/** How to lay the ruler for a kind's own measures, where it is drawn; takes the field as `what`. */
export const rulerDrawing = (kind: CollarKindName): Component | null => rulers[`./${kind}/RulerDrawing.vue`] ?? null;
