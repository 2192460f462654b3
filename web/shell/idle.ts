import { ref, type Ref } from 'vue';

/** So long at most what stands round a screen waits for it, ms. */
const PATIENCE_MS = 2000;
const wasIdle = ref(false);
const rest = () => (wasIdle.value = true);
// Not in every browser (W3C requestIdleCallback).
const waits = 'requestIdleCallback' in globalThis ? () => requestIdleCallback(rest, { timeout: PATIENCE_MS }) : () => setTimeout(rest, PATIENCE_MS / 4);
// The first picture is of the screen alone.
if (!import.meta.env.SSR) waits();

/** Whether the processor has had nothing to do once since the page came: what stands round a screen lets the screen come first. */
export const useWasIdle = (): Readonly<Ref<boolean>> => wasIdle;
